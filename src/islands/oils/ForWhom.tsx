import { oilsWords } from './oils.words';
import { useState } from 'react';
import { Button } from '../../ui/button/Button';
import { send } from '../api';
import styles from './ForWhom.module.css';
import { useBench } from './bench-context';

/** What of the client and the therapist decides about oils, in as few words as possible. */
export function ForWhom() {
  const bench = useBench();
  const { client, scope } = bench.view;
  const [isReading, setIsReading] = useState(false);
  const lines = [
    client?.unscentedWhy && oilsWords.unscentedOnly(client.unscentedWhy),
    client?.unscentedPlaces && oilsWords.unscentedOn(client.unscentedPlaces),
    client && client.about.length > 0 && oilsWords.keptInMind(client.about.join(', ')),
    scope.why,
  ].filter((line): line is string => Boolean(line));
  if (!client && lines.length === 0) return null;
  const place = () =>
    bench.attempt(async () => {
      if (!client) return '';
      await send('POST /api/patch-tests', { body: { clientId: client.id, what: bench.blend.name } });
      await bench.reload();
      return oilsWords.patchTestPlacedTheDaysThread;
    });
  const read = (reading: 'clear' | 'mild' | 'strong') =>
    bench.attempt(async () => {
      if (!client?.patch) return '';
      await send('POST /api/patch-tests/{id}', { params: { id: client.patch.id }, body: { reading } });
      await bench.reload();
      setIsReading(false);
      return oilsWords.writtenDown;
    });
  return (
    <div className={styles['whom']} data-stop={client?.unscentedWhy ? true : undefined}>
      {lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
      {client && (client.needsPatchTest || client.patch) && (
        <p>
          {oilsWords.patchTest}{' '}
          {client.patch ? `${client.patch.what}, ${client.patch.due}` : oilsWords.wantedBeforeTheFirstUse}.{' '}
          {client.patch && (client.patch.state === 'due' || client.patch.state === 'waiting') ? (
            isReading ? (
              <>
                <Button look="link" onClick={() => void read('clear')}>
                  {oilsWords.clear}
                </Button>{' '}
                <Button look="link" onClick={() => void read('mild')}>
                  {oilsWords.aLittleRed}
                </Button>{' '}
                <Button look="link" onClick={() => void read('strong')}>
                  {oilsWords.strong}
                </Button>
              </>
            ) : (
              <Button look="link" onClick={() => setIsReading(true)}>
                {oilsWords.readIt}
              </Button>
            )
          ) : (
            <Button look="link" onClick={() => void place()}>
              {oilsWords.placeOneNow}
            </Button>
          )}
        </p>
      )}
    </div>
  );
}
