import { useLight } from '../../ui/light';
import { mastheadWords } from './masthead.words';
import { BookOpen, ChevronDown, Clock3, Droplets, Hand, House, Search, UserRound } from 'lucide-react';
import { Suspense, useRef, useState } from 'react';
import type { MeView } from '../../contracts/people-views';
import { Kbd } from '../../ui/kbd/Kbd';
import { laterPart, useLater } from '../../ui/later';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { send, shutEvent } from '../api';
import { Door } from '../door/Door';
import { Devices } from '../door/Devices';
import { LeftOver } from '../saving/LeftOver';
import { countUnsent, endSession, wipeDevice } from '../saving/sign-out';
import { SignOutDialog } from '../saving/SignOutDialog';
import { OwnPin } from '../door/OwnPin';
import { SecondFactor } from '../door/SecondFactor';
import { Dialog, keepDialogReady } from '../../ui/dialog/Dialog';
import styles from './Masthead.module.css';
import { useNewBuild } from './useNewBuild';

const { fetch: fetchMenu, Part: WhoMenu } = laterPart(() => import('./WhoMenu').then((module) => module.WhoMenu));
/** What may be wanted when the network is gone. */
const fetchParts = () => Promise.all([fetchMenu(), keepDialogReady()]);

interface Props {
  readonly place: 'day' | 'clients' | 'bench' | 'library' | 'house' | 'outbox' | 'guide' | 'practice';
  readonly me: MeView;
}

/** The slim head of every view: where one is, finding a client, who is signed in; and the door that shuts before it. */
export function Masthead({ place, me }: Props) {
  const isLamp = useLight() === 'lamp';
  const isNewBuild = useNewBuild();
  useLater(fetchParts);
  const who = useRef<HTMLButtonElement>(null);
  const [isMenuOpen, setIsMenuOpen] = useState(false);
  const [hasPin, setHasPin] = useState(me.hasPin);
  const [isSettingPin, setIsSettingPin] = useState(false);
  const [isListing, setIsListing] = useState(false);
  const [unsent, setUnsent] = useState(0);
  const [isSecuring, setIsSecuring] = useState(false);
  useShortcuts([{ keys: ['/'], words: mastheadWords.findAClientKey, act: () => window.location.assign('/clients') }], {
    isEverywhere: true,
  });

  const switchLight = () => {
    const next = isLamp ? 'daylight' : 'lamp';
    document.documentElement.dataset['theme'] = next;
    localStorage.setItem('theme', next);
  };
  const signOut = async () => {
    await endSession();
    await wipeDevice();
    window.location.replace('/sign-in');
  };
  const act = (key: string | number) => {
    if (key === 'light') switchLight();
    else if (key === 'pin') setIsSettingPin(true);
    else if (key === 'devices') setIsListing(true);
    else if (key === 'factor') setIsSecuring(true);
    else if (key === 'lock') {
      void send('POST /api/session/lock').then(() =>
        window.dispatchEvent(new CustomEvent(shutEvent, { cancelable: true, detail: 'locked' })),
      );
    } else if (key === 'out') void countUnsent().then((count) => (count > 0 ? setUnsent(count) : signOut()));
    else
      void send('POST /api/session/demo', { body: { staffId: Number(key) } }).then(() => window.location.assign('/'));
  };

  return (
    <header className={styles['head']}>
      <a href="#main" className="skip-link">
        {mastheadWords.toTheContent}
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
        {mastheadWords.velvetStone}
      </a>
      <nav aria-label={mastheadWords.places} className={styles['places']}>
        <a href="/" aria-current={place === 'day' ? 'page' : undefined}>
          <Clock3 size={20} aria-hidden="true" />
          {mastheadWords.day}
        </a>
        <a href="/clients" aria-current={place === 'clients' ? 'page' : undefined}>
          <UserRound size={20} aria-hidden="true" />
          {mastheadWords.clients}
        </a>
        {me.role !== 'assistant' && (
          <a href="/bench/oils" aria-current={place === 'bench' ? 'page' : undefined}>
            <Droplets size={20} aria-hidden="true" />
            {mastheadWords.bench}
          </a>
        )}
        {me.role !== 'assistant' && (
          <a href="/library" aria-current={place === 'library' ? 'page' : undefined}>
            <BookOpen size={20} aria-hidden="true" />
            {mastheadWords.library}
          </a>
        )}
        <a href="/practice" aria-current={place === 'practice' ? 'page' : undefined}>
          <Hand size={20} aria-hidden="true" />
          {mastheadWords.practice}
        </a>
        {me.role === 'owner' && (
          <a href="/house" aria-current={place === 'house' ? 'page' : undefined}>
            <House size={20} aria-hidden="true" />
            {mastheadWords.house}
          </a>
        )}
      </nav>
      <LeftOver />
      {isNewBuild && <NewBuild />}
      <a href="/clients" className={styles['find']}>
        <Search size={20} aria-hidden="true" />
        <span>{mastheadWords.findAClient}</span> <Kbd>/</Kbd>
      </a>
      <button
        ref={who}
        type="button"
        className={styles['who']}
        aria-label={mastheadWords.isSignedInOpenTheMenu(me.initials, me.name)}
        aria-haspopup="menu"
        aria-expanded={isMenuOpen}
        onPointerEnter={() => void fetchParts().catch(() => undefined)}
        onClick={() => setIsMenuOpen(true)}
      >
        <span className={styles['initials']}>{me.initials}</span>
        <ChevronDown size={16} aria-hidden="true" />
      </button>
      {isMenuOpen && (
        <Suspense>
          <WhoMenu at={who} me={me} hasPin={hasPin} isLamp={isLamp} onAct={act} onClose={() => setIsMenuOpen(false)} />
        </Suspense>
      )}
      {unsent > 0 && <SignOutDialog count={unsent} onStay={() => setUnsent(0)} onLeave={() => void signOut()} />}
      {isSecuring && (
        <Dialog title={mastheadWords.secondFactor} isOpen onClose={() => setIsSecuring(false)}>
          <SecondFactor onDone={() => setIsSecuring(false)} />
        </Dialog>
      )}
      {isListing && <Devices onClose={() => setIsListing(false)} />}
      {isSettingPin && (
        <OwnPin
          asksPassword={me.people.length === 0}
          onClose={() => setIsSettingPin(false)}
          onSet={() => {
            setHasPin(true);
            setIsSettingPin(false);
          }}
        />
      )}
      <Door me={me} />
    </header>
  );
}

/** Nothing is lost by going on with the old page for a while; whoever wants to, loads the new one. */
function NewBuild() {
  const { pathname, search } = window.location;
  return (
    <span role="status">
      <a href={`${pathname}${search}`} className={styles['newBuild']}>
        {mastheadWords.broughtUpToDate}
      </a>
    </span>
  );
}
