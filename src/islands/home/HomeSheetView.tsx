import { homeWords } from './home.words';
import { useState } from 'react';
import type { HomeWish } from '../../contracts/home';
import type { HomeView } from '../../contracts/home-views';
import { useToasts } from '../../ui/toast/useToasts';
import { VisitHead } from '../visit-head/VisitHead';
import { Given } from './Given';
import styles from './HomeSheetView.module.css';
import { Preview } from './Preview';
import { useDrawnUp } from './useDrawnUp';
import { WishForm } from './WishForm';
import { unpacked } from '../../ui/frame/packed';

/** What the client does alone: chosen, drawn up by the planner, printed, or followed behind a link. */
function HomeSheetView({ view }: { readonly view: HomeView }) {
  const { visit } = view;
  const [wish, setWish] = useState<HomeWish>(view.first);
  const drawn = useDrawnUp(visit.id, wish);
  const { say, toasts } = useToasts();
  const [sheets, setSheets] = useState(view.sheets);
  const offer = view.offers.find(({ routine }) => routine.id === wish.routine);
  return (
    <>
      <VisitHead visit={visit} here="close" />
      <main id="main" className={styles['view']}>
        <section className={styles['wish']} aria-label={homeWords.whatFor}>
          <h2>{homeWords.forHome}</h2>
          <WishForm view={view} wish={wish} onWish={setWish} errors={drawn.errors} />
        </section>
        <section className={styles['sheet']} aria-label={homeWords.theSheet}>
          <Preview drawn={drawn} language={wish.language} title={offer?.title ?? ''} />
        </section>
        <aside className={styles['given']} aria-label={homeWords.given}>
          <Given
            visit={visit}
            sheets={sheets}
            onSheets={setSheets}
            today={view.today}
            canKeep={drawn.sheet !== undefined && !drawn.isDrawing}
            onKeep={drawn.keep}
            say={say}
          />
        </aside>
      </main>
      {toasts}
    </>
  );
}

/** As the page shows it. */
export const HomeIsland = unpacked(HomeSheetView);
