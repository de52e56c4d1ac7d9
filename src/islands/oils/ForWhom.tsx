import { useState } from 'react';
import { Button } from '../../ui/button/Button';
import { send } from '../api';
import styles from './ForWhom.module.css';
import type { Bench } from './useBlend';

/** What of the client and the therapist decides about oils, in as few words as possible. */
export function ForWhom({ bench }: { readonly bench: Bench }) {
  const { client, scope } = bench.bench;
  const [isReading, setIsReading] = useState(false);
  const lines = [
    client?.unscentedWhy && `Unscented only. ${client.unscentedWhy}`,
    client?.unscentedPlaces && `Unscented on ${client.unscentedPlaces}.`,
    client && client.about.length > 0 && `Kept in mind: ${client.about.join(', ')}.`,
    scope.why,
  ].filter((line): line is string => Boolean(line));
  if (!client && lines.length === 0) return null;
  const place = () =>
    bench.attempt(async () => {
      if (!client) return '';
      await send('POST /api/patch-tests', { body: { clientId: client.id, what: bench.blend.name } });
      await bench.reload();
      return 'Patch test placed; the day’s thread says when to read it.';
    });
  const read = (reading: 'clear' | 'mild' | 'strong') =>
    bench.attempt(async () => {
      if (!client?.patch) return '';
      await send('POST /api/patch-tests/{id}', { params: { id: client.patch.id }, body: { reading } });
      await bench.reload();
      setIsReading(false);
      return 'Written down.';
    });
  return (
    <div className={styles['whom']} data-stop={client?.unscentedWhy ? true : undefined}>
      {lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
      {client && (client.needsPatchTest || client.patch) && (
        <p>
          Patch test: {client.patch ? `${client.patch.what}, ${client.patch.due}` : 'wanted before the first use'}.{' '}
          {client.patch && (client.patch.state === 'due' || client.patch.state === 'waiting') ? (
            isReading ? (
              <>
                <Button look="link" onClick={() => void read('clear')}>
                  clear
                </Button>{' '}
                <Button look="link" onClick={() => void read('mild')}>
                  a little red
                </Button>{' '}
                <Button look="link" onClick={() => void read('strong')}>
                  strong
                </Button>
              </>
            ) : (
              <Button look="link" onClick={() => setIsReading(true)}>
                Read it
              </Button>
            )
          ) : (
            <Button look="link" onClick={() => void place()}>
              Place one now
            </Button>
          )}
        </p>
      )}
    </div>
  );
}
