import { useEffect, useState } from 'react';
import type { DeviceView } from '../../contracts/sign-in';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { send, sentenceOf } from '../api';
import styles from './Devices.module.css';
import { doorWords } from './door.words';

/** On which devices one is signed in, with a way out of each: for one that was lost, or left lying about. */
export function Devices({ onClose }: { readonly onClose: () => void }) {
  const [devices, setDevices] = useState<readonly DeviceView[]>([]);
  const [said, setSaid] = useState('');
  useEffect(() => {
    send('GET /api/session/devices')
      .then(setDevices)
      .catch((error: unknown) => setSaid(sentenceOf(error)));
  }, []);
  const signOut = async (name: string) => {
    try {
      await send('DELETE /api/session/devices/{name}', { params: { name } });
      setDevices((all) => all.filter((one) => one.name !== name));
      setSaid(doorWords.signedOutThere);
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  return (
    <Dialog title={doorWords.whereYouAreSignedIn} isOpen onClose={onClose}>
      <ul className={styles['devices']}>
        {devices.map(({ name, device, since, seen, isThis }) => (
          <li key={name}>
            <div>
              <strong>{device}</strong>
              <span>{doorWords.sinceSeen(since, seen)}</span>
            </div>
            {isThis ? (
              <em>{doorWords.thisDevice}</em>
            ) : (
              <Button onClick={() => void signOut(name)} aria-label={doorWords.signOutThereOf(device)}>
                {doorWords.signOutThere}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <p role="status">{said}</p>
      <Button onClick={onClose}>{doorWords.close}</Button>
    </Dialog>
  );
}
