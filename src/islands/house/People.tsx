import { houseWords } from './house.words';
import { roleWords } from './role-words';
import { lazy, Suspense, useState } from 'react';
import type { HouseView, PersonView } from '../../contracts/house-views';
import { Button } from '../../ui/button/Button';
import styles from './House.module.css';

const EditPerson = lazy(async () => ({ default: (await import('./EditPerson')).EditPerson }));

/** Who works here, what they may and when. */
export function People({ people, qualifications }: Pick<HouseView, 'people' | 'qualifications'>) {
  const [editing, setEditing] = useState<PersonView | 'new'>();
  const labelOf = (id: string) => qualifications.find((q) => q.id === id)?.label ?? id;
  return (
    <>
      <div className={styles['heading']}>
        <h2>{houseWords.people2}</h2>
        <Button onClick={() => setEditing('new')}>{houseWords.addSomebody}</Button>
      </div>
      <ul className={styles['people']}>
        {people.map((person) => (
          <li key={person.id} data-left={person.leftOn ? true : undefined}>
            <span className={styles['initials']} aria-hidden="true">
              {person.initials}
            </span>
            <div>
              <h3>{person.name}</h3>
              <p>
                {[
                  person.title,
                  person.room,
                  person.isLearning && houseWords.stillLearning,
                  person.leftOn ? houseWords.leftOn(person.leftOn) : roleWords[person.role],
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </p>
              {person.qualifications.length > 0 && <p>{person.qualifications.map(labelOf).join(', ')}</p>}
            </div>
            <p className={styles['sign']}>
              {person.leftOn ? '' : person.canSignIn ? houseWords.signsInAs(person.login) : houseWords.noPasswordYet}
              {!person.leftOn && !person.hasPin && <span>{houseWords.noPin}</span>}
              {person.hasFactor && <span>{houseWords.withFactor}</span>}
            </p>
            <Button onClick={() => setEditing(person)} aria-label={houseWords.change2(person.name)}>
              {houseWords.change}
            </Button>
          </li>
        ))}
      </ul>
      {editing && (
        <Suspense>
          <EditPerson
            person={editing === 'new' ? null : editing}
            qualifications={qualifications}
            onClose={() => setEditing(undefined)}
          />
        </Suspense>
      )}
    </>
  );
}
