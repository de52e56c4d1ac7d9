import { homeWords } from './home.words';
import { addDays, format, parseISO } from 'date-fns';
import { useState } from 'react';
import type { KeptSheet } from '../../contracts/home-views';
import { Button } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import styles from './PaperLog.module.css';

interface Props {
  readonly sheet: KeptSheet;
  readonly today: string;
  readonly onDone: () => void;
  readonly say: (words: string, tone?: 'error') => void;
}

const mostDays = 28;
const iso = (day: Date) => format(day, 'yyyy-MM-dd');

/** The last four weeks of a sheet, to tick what stands on the paper that the client brought along. */
export function PaperLog({ sheet, today, onDone, say }: Props) {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const days = Array.from({ length: mostDays }, (_, i) => iso(addDays(parseISO(today), i + 1 - mostDays))).filter(
    (day) => day >= sheet.madeOn,
  );
  const known = new Set(sheet.days);
  const keep = async () => {
    try {
      await send('POST /api/home/{id}/log', { params: { id: sheet.id }, body: { days: [...ticked] } });
      say(homeWords.theLogIsKept);
      onDone();
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  return (
    <fieldset className={styles['log']}>
      <legend>{homeWords.tickedOnThePaper}</legend>
      <div>
        {days.map((day) => (
          <label key={day} data-known={known.has(day) || undefined}>
            <input
              type="checkbox"
              checked={known.has(day) || ticked.has(day)}
              disabled={known.has(day)}
              onChange={() => {
                const next = new Set(ticked);
                if (!next.delete(day)) next.add(day);
                setTicked(next);
              }}
            />
            {format(parseISO(day), 'EEE d MMM')}
          </label>
        ))}
      </div>
      <Button onClick={() => void keep()} disabled={ticked.size === 0}>
        {homeWords.keepTheLog}
      </Button>
    </fieldset>
  );
}
