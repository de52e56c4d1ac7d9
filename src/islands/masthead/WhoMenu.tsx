import { KeyRound, Lamp, LifeBuoy, Lock, LogOut, MonitorSmartphone, ShieldCheck, Sun } from 'lucide-react';
import type { RefObject } from 'react';
import { Menu, MenuItem, Popover, Separator } from 'react-aria-components';
import type { MeView } from '../../contracts/people-views';
import styles from './Masthead.module.css';
import { mastheadWords } from './masthead.words';

interface Props {
  readonly at: RefObject<HTMLElement | null>;
  readonly me: MeView;
  readonly hasPin: boolean;
  readonly isLamp: boolean;
  readonly onAct: (key: string | number) => void;
  readonly onClose: () => void;
}

/** What the initials in the head open: who is signed in, and what they may do with their session and their light. */
export function WhoMenu({ at, me, hasPin, isLamp, onAct, onClose }: Props) {
  return (
    <Popover
      className={styles['popover'] ?? ''}
      placement="bottom end"
      triggerRef={at}
      isOpen
      onOpenChange={(isOpen) => !isOpen && onClose()}
    >
      <Menu
        className={styles['menu'] ?? ''}
        aria-label={mastheadWords.menu}
        autoFocus="first"
        onAction={(key) => {
          onClose();
          onAct(key);
        }}
      >
        {me.people.map((person) => (
          <MenuItem key={person.id} id={String(person.id)} textValue={person.name} className={styles['item'] ?? ''}>
            <strong>{person.name}</strong>
            <span>
              {person.title}
              {person.id === me.id ? mastheadWords.signedIn : ''}
            </span>
          </MenuItem>
        ))}
        {hasPin && (
          <MenuItem id="lock" textValue={mastheadWords.lockTheScreen} className={styles['item'] ?? ''}>
            <strong>
              <Lock size={16} aria-hidden="true" /> {mastheadWords.lockTheScreen}
            </strong>
          </MenuItem>
        )}
        <MenuItem id="pin" textValue={mastheadWords.myPin} className={styles['item'] ?? ''}>
          <strong>
            <KeyRound size={16} aria-hidden="true" /> {hasPin ? mastheadWords.changeMyPin : mastheadWords.setMyPin}
          </strong>
        </MenuItem>
        <MenuItem id="devices" textValue={mastheadWords.devices} className={styles['item'] ?? ''}>
          <strong>
            <MonitorSmartphone size={16} aria-hidden="true" /> {mastheadWords.devices}
          </strong>
        </MenuItem>
        <MenuItem id="factor" textValue={mastheadWords.secondFactor} className={styles['item'] ?? ''}>
          <strong>
            <ShieldCheck size={16} aria-hidden="true" /> {mastheadWords.secondFactor}
          </strong>
        </MenuItem>
        <MenuItem id="out" textValue={mastheadWords.signOut} className={styles['item'] ?? ''}>
          <strong>
            <LogOut size={16} aria-hidden="true" /> {mastheadWords.signOut}
          </strong>
        </MenuItem>
        <Separator className={styles['separator'] ?? ''} />
        <MenuItem id="guide" href="/guide" textValue={mastheadWords.guide} className={styles['item'] ?? ''}>
          <strong>
            <LifeBuoy size={16} aria-hidden="true" /> {mastheadWords.guide}
          </strong>
        </MenuItem>
        <MenuItem id="light" textValue={mastheadWords.light} className={styles['item'] ?? ''}>
          <strong>
            {isLamp ? <Sun size={16} aria-hidden="true" /> : <Lamp size={16} aria-hidden="true" />}{' '}
            {isLamp ? mastheadWords.daylight : mastheadWords.lampLight}
          </strong>
        </MenuItem>
      </Menu>
    </Popover>
  );
}
