import { ChevronDown, Lamp, Sun } from 'lucide-react';
import { useEffect, useSyncExternalStore } from 'react';
import { Button, Menu, MenuItem, MenuTrigger, Popover, Separator } from 'react-aria-components';
import type { TherapistView } from '../../contracts/views';
import { Kbd } from '../../ui/kbd/Kbd';
import { send } from '../api';
import styles from './Masthead.module.css';

interface Props {
  readonly place: 'day' | 'clients';
  readonly therapist: TherapistView;
  readonly therapists: readonly TherapistView[];
}

const readLight = () => document.documentElement.dataset['theme'] === 'lamp';

function watchLight(onChange: () => void): () => void {
  const observer = new MutationObserver(onChange);
  observer.observe(document.documentElement, { attributeFilter: ['data-theme'] });
  return () => observer.disconnect();
}

/** The slim head of every view: where one is, finding a client, who works here. */
export function Masthead({ place, therapist, therapists }: Props) {
  const isLamp = useSyncExternalStore(watchLight, readLight, () => false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.key !== '/' || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      event.preventDefault();
      if (place === 'clients') document.querySelector<HTMLInputElement>('input[type="search"]')?.focus();
      else window.location.assign('/clients');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [place]);

  const switchLight = () => {
    const next = isLamp ? 'daylight' : 'lamp';
    document.documentElement.dataset['theme'] = next;
    localStorage.setItem('theme', next);
  };
  const workAs = (id: number) => send('POST', '/api/work-as', { therapistId: id }).then(() => window.location.reload());

  return (
    <header className={styles['head']}>
      <a href="#main" className="skip-link">
        To the content
      </a>
      <a href="/" className={styles['brand']}>
        <svg width="28" height="24" viewBox="0 0 32 32" aria-hidden="true">
          <path d="M3 17C3 8 9 4 16 4c8 0 13 5 13 12 0 8-6 12-13 12C9 28 3 25 3 17Z" fill="var(--plum)" />
          <path
            d="M9 18c3-5 6 2 9-1 2-2 3-3 6-2"
            fill="none"
            stroke="var(--on-fill)"
            strokeWidth="2.4"
            strokeLinecap="round"
          />
        </svg>
        Velvet Stone
      </a>
      <nav aria-label="Places" className={styles['places']}>
        <a href="/" aria-current={place === 'day' ? 'page' : undefined}>
          Day
        </a>
        <a href="/clients" aria-current={place === 'clients' ? 'page' : undefined}>
          Clients
        </a>
      </nav>
      <a href="/clients" className={styles['find']}>
        Find a client <Kbd>/</Kbd>
      </a>
      <MenuTrigger>
        <Button
          className={styles['who'] ?? ''}
          aria-label={`${therapist.initials}: ${therapist.name} works here. Change`}
        >
          <span className={styles['initials']}>{therapist.initials}</span>
          <ChevronDown size={16} aria-hidden="true" />
        </Button>
        <Popover className={styles['popover'] ?? ''} placement="bottom end">
          <Menu
            className={styles['menu'] ?? ''}
            onAction={(key) => (key === 'light' ? switchLight() : void workAs(Number(key)))}
          >
            {therapists.map((t) => (
              <MenuItem key={t.id} id={String(t.id)} textValue={t.name} className={styles['item'] ?? ''}>
                <strong>{t.name}</strong>
                <span>
                  {t.title} · {t.room}
                  {t.id === therapist.id ? ' · works here now' : ''}
                </span>
              </MenuItem>
            ))}
            <Separator className={styles['separator'] ?? ''} />
            <MenuItem id="light" textValue="Light" className={styles['item'] ?? ''}>
              <strong>
                {isLamp ? <Sun size={16} aria-hidden="true" /> : <Lamp size={16} aria-hidden="true" />}{' '}
                {isLamp ? 'Daylight' : 'Lamp light'}
              </strong>
            </MenuItem>
          </Menu>
        </Popover>
      </MenuTrigger>
    </header>
  );
}
