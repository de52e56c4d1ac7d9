import { homeWords } from './home.words';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import type { KeptSheet } from '../../contracts/home-views';
import type { VisitHeadView } from '../../contracts/visit-views';
import { Button, ButtonLink } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import shared from './HomeSheetView.module.css';
import styles from './Given.module.css';
import { PaperLog } from './PaperLog';

interface Props {
  readonly visit: VisitHeadView;
  readonly sheets: readonly KeptSheet[];
  readonly onSheets: (sheets: readonly KeptSheet[]) => void;
  readonly today: string;
  readonly canKeep: boolean;
  readonly onKeep: () => Promise<number>;
  readonly say: (words: string, tone?: 'error') => void;
}

const linkDays = 60;
const dayOf = (day: string) => format(parseISO(day), 'd MMMM');

/** Sheets that the client has: printed, behind a link, how well they were kept to; and the one to be given now. */
export function Given({ visit, sheets, onSheets, today, canKeep, onKeep, say }: Props) {
  const [links, setLinks] = useState<Readonly<Record<number, { readonly url: string; readonly until: string }>>>({});
  const [logging, setLogging] = useState<number>();
  const read = async () => onSheets((await send('GET /api/visits/{id}/home', { params: { id: visit.id } })).sheets);
  const attempt = async (act: () => Promise<void>) => {
    try {
      await act();
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  const give = () =>
    attempt(async () => {
      await onKeep();
      await read();
      say(homeWords.keptPrintItOrMakeA);
    });
  const makeLink = (id: number) =>
    attempt(async () => {
      const { path, until } = await send('POST /api/home/{id}/link', {
        params: { id },
        body: {
          days: linkDays,
        },
      });
      setLinks({ ...links, [id]: { url: window.location.origin + path, until } });
      await read();
    });
  const takeBack = (id: number) =>
    attempt(async () => {
      await send('DELETE /api/home/{id}/link', { params: { id } });
      setLinks(Object.fromEntries(Object.entries(links).filter(([key]) => Number(key) !== id)));
      await read();
    });
  const end = (id: number) =>
    attempt(async () => {
      await send('DELETE /api/home/{id}', { params: { id } });
      await read();
    });
  const current = sheets.filter(({ isEnded }) => !isEnded);
  const ended = sheets.filter(({ isEnded }) => isEnded);
  return (
    <>
      <Button look="filled" onClick={() => void give()} disabled={!canKeep}>
        {homeWords.giveThisSheet}
      </Button>
      {current.length === 0 && <p className={shared['soft']}>{homeWords.nothingIsGivenYet}</p>}
      {current.map((one) => {
        const link = links[one.id];
        return (
          <article key={one.id} className={styles['kept']} aria-label={one.title}>
            <h3>{one.title}</h3>
            <p className={shared['soft']}>{homeWords.sinceBy(dayOf(one.madeOn), one.by)}</p>
            <p>
              {one.log.done === 0
                ? homeWords.notTickedYet
                : homeWords.doneOfTimes(
                    one.log.done,
                    one.log.asked,
                    one.log.percent === null ? '' : ` (${one.log.percent} %)`,
                  )}
            </p>
            <div className={styles['acts']}>
              <ButtonLink href={`/api/home/${one.id}/sheet.pdf?paper=a4`} target="_blank">
                {homeWords.printA}
              </ButtonLink>
              <ButtonLink href={`/api/home/${one.id}/sheet.pdf?paper=letter`} target="_blank">
                {homeWords.letter}
              </ButtonLink>
              <Button onClick={() => void makeLink(one.id)}>
                {one.linkUntil ? homeWords.newLink : homeWords.makeALink}
              </Button>
              <Button onClick={() => setLogging(logging === one.id ? undefined : one.id)}>{homeWords.paperLog}</Button>
            </div>
            {link && (
              <p className={styles['link']}>
                <a href={link.url} target="_blank" rel="noreferrer">
                  {link.url}
                </a>
                <Button
                  look="link"
                  onClick={() => void navigator.clipboard.writeText(link.url).then(() => say(homeWords.copied))}
                >
                  {homeWords.copyIt}
                </Button>
                <small>{homeWords.worksUntilWithoutASignIn(link.until)}</small>
              </p>
            )}
            {!link && one.linkUntil && <p className={shared['soft']}>{homeWords.aLinkWorksUntil(one.linkUntil)}</p>}
            {one.linkUntil && (
              <Button look="link" onClick={() => void takeBack(one.id)}>
                {homeWords.takeTheLinkBack}
              </Button>
            )}
            {logging === one.id && (
              <PaperLog
                sheet={one}
                today={today}
                onDone={() => {
                  setLogging(undefined);
                  void attempt(read);
                }}
                say={say}
              />
            )}
            <Button look="link" onClick={() => void end(one.id)}>
              {homeWords.endThisSheet}
            </Button>
          </article>
        );
      })}
      {ended.length > 0 && (
        <details className={styles['ended']}>
          <summary>{homeWords.earlier(ended.length)}</summary>
          <ul className="marked-list">
            {ended.map((one) => (
              <li key={one.id}>{homeWords.sinceOf(one.title, dayOf(one.madeOn), one.log.done, one.log.asked)}</li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}
