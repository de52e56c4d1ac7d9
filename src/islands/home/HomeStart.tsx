import { beforeLines, type HomeWords } from '../../catalogue/homecare/words';
import { linesOf } from '../../catalogue/homecare/lines';
import type { HomePage } from '../../contracts/home-views';
import { Button } from '../../ui/button/Button';
import styles from './HomeFollow.module.css';

interface Props {
  readonly page: HomePage;
  readonly words: HomeWords;
  readonly onBegin: () => void;
}

/** What it is, what to mind, when to stop; then it begins. */
export function HomeStart({ page, words, onBegin }: Props) {
  const { sheet, wish } = page;
  const routine = words.routines[sheet.routine];
  return (
    <main id="main" className={styles['view']}>
      <p>{words.page.hello(page.firstName)}</p>
      <h1>{routine.title}</h1>
      <p>{routine.about}</p>
      <p>
        {words.page.minutes(Math.max(1, Math.round(sheet.seconds / 60)))}.{' '}
        {words.page.rhythm(wish.times.length, wish.daysPerWeek)}, {words.page.at(wish.times)}.
      </p>
      {wish.note && <p className={styles['note']}>{wish.note}</p>}
      <Button look="filled" className={styles['large'] ?? ''} onClick={onBegin}>
        {words.page.begin}
      </Button>
      <p role="status">{words.page.doneThisWeek(page.thisWeek.length, page.mostPerWeek)}</p>
      {page.againFrom !== null && (
        <p className={styles['ticked']}>{words.page.tooOften(page.mostPerWeek, page.againFrom)}</p>
      )}
      <h2>{words.page.beforeTitle}</h2>
      <ul className="marked-list">
        {beforeLines(words, sheet.routine).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <h2>{words.page.stopTitle}</h2>
      <ul className="marked-list">
        {words.stop.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <details>
        <summary>{words.page.all}</summary>
        {sheet.parts.map((part, i) => (
          <section key={`${part.id} ${i}`}>
            <h3>{words.parts[part.id]}</h3>
            <ol className="marked-list">
              {linesOf(words, sheet, part).map(({ steps: [step], title, count }) => (
                <li key={step?.id}>
                  {title}, {count}
                </li>
              ))}
            </ol>
          </section>
        ))}
      </details>
      <footer>
        <p>{words.page.from(page.house, page.therapist)}</p>
        {page.phone && (
          <p>
            <a href={`tel:${page.phone.replaceAll(' ', '')}`}>{page.phone}</a>
          </p>
        )}
        <p>{words.page.validUntil(page.linkUntil)}</p>
        <p>{words.page.caution}</p>
      </footer>
    </main>
  );
}
