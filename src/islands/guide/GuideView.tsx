import { useState } from 'react';
import type { Chapter } from '../../catalogue/guide/guide.data';
import { findChapters } from '../../core/search/find-chapters';
import { Button } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import styles from './GuideView.module.css';
import { guideWords } from './guide.words';
import { unpacked } from '../../ui/frame/packed';

interface Props {
  readonly chapters: readonly Chapter[];
  /** Addresses of the pictures by their names. */
  readonly pictures: Readonly<Record<string, string>>;
}

/** How the day goes with the house: chapters to read, to search and to print. */
function GuideView({ chapters, pictures }: Props) {
  const [typed, setTyped] = useState('');
  const found = findChapters(
    chapters.map((chapter) => ({ ...chapter, text: textOf(chapter) })),
    typed,
  );
  return (
    <main id="main" className={styles['view']}>
      <div className={styles['top']}>
        <h1>{guideWords.guide}</h1>
        <Field
          label={guideWords.search}
          hint={guideWords.hint}
          type="search"
          value={typed}
          maxLength={80}
          autoComplete="off"
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button onClick={() => window.print()}>{guideWords.print}</Button>
      </div>
      <nav className={styles['chapters']} aria-label={guideWords.chapters}>
        <ol>
          {found.map(({ id, title }) => (
            <li key={id}>
              <a href={`#${id}`}>{title}</a>
            </li>
          ))}
        </ol>
        <p>{guideWords.keysOfAView}</p>
      </nav>
      <div className={styles['text']}>
        <p role="status">{found.length === 0 ? guideWords.nothingFound : ''}</p>
        {found.map((chapter) => (
          <ChapterText
            key={chapter.id}
            chapter={chapter}
            picture={chapter.picture ? pictures[chapter.picture] : undefined}
          />
        ))}
      </div>
    </main>
  );
}

const textOf = ({ paragraphs, trouble = [] }: Chapter) => [...paragraphs, ...trouble.flat()].join(' ');

function ChapterText({ chapter, picture }: { readonly chapter: Chapter; readonly picture: string | undefined }) {
  const { id, title, paragraphs, trouble = [] } = chapter;
  return (
    <section id={id} className={styles['chapter']} aria-labelledby={`${id}-title`}>
      <h2 id={`${id}-title`}>{title}</h2>
      <div>
        {paragraphs.map((paragraph) => (
          <p key={paragraph}>{paragraph}</p>
        ))}
        {trouble.length > 0 && (
          <>
            <h3>{guideWords.ifNot}</h3>
            <dl>
              {trouble.map(([what, remedy]) => (
                <div key={what}>
                  <dt>{what}</dt>
                  <dd>{remedy}</dd>
                </div>
              ))}
            </dl>
          </>
        )}
      </div>
      {picture && <img src={picture} alt={guideWords.asInThePicture(title)} loading="lazy" decoding="async" />}
    </section>
  );
}

/** As the page shows it. */
export const GuideIsland = unpacked(GuideView);
