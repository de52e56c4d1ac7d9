import { doorWords } from './door.words';
import { useEffect } from 'react';
import { forgetKeptViews } from '../kept-views';
import styles from './Door.module.css';
import { SignInForm } from './SignInForm';

interface Props {
  readonly house: string;
  /** A few words about the demo house; empty elsewhere. */
  readonly scenario: string;
  readonly people: readonly { readonly id: number; readonly name: string; readonly title: string }[];
  readonly then: string;
}

/** The page in front of everything. */
export function SignIn({ house, scenario, people, then }: Props) {
  // Nobody is signed in: what a device was too busy to wipe goes now.
  useEffect(() => void forgetKeptViews(), []);
  return (
    <main id="main" className={styles['cover']}>
      <div className={styles['door']}>
        <h1>{house}</h1>
        <p>{scenario || doorWords.signInToSeeTheDay}</p>
        <SignInForm people={people} onOpen={() => window.location.replace(then)} />
        {people.length > 0 && <p>{doorWords.aDemoWithMadeUpPeople}</p>}
      </div>
    </main>
  );
}
