import { houseWords } from './house.words';
import { useState } from 'react';
import type { HouseView } from '../../contracts/house-views';
import { Choice } from '../../ui/choice/Choice';
import { useToasts } from '../../ui/toast/useToasts';
import { Audit, type AuditFilter } from './Audit';
import styles from './House.module.css';
import { Currency } from './Currency';
import { ClientLanguage } from './ClientLanguage';
import { HousePhone } from './HousePhone';
import { Keeping } from './Keeping';
import { Measuring } from './Measuring';
import { People } from './People';
import { SignInRules } from './SignInRules';
import { HouseTogether } from '../together/HouseTogether';
import { Wording } from './Wording';
import { Dates } from './Dates';
import { unpacked } from '../../ui/frame/packed';

type Part = 'people' | 'measuring' | 'consent' | 'keeping' | 'together' | 'audit';

const parts: readonly { readonly value: Part; readonly text: string }[] = [
  { value: 'people', text: houseWords.people },
  { value: 'measuring', text: houseWords.measuring },
  { value: 'consent', text: houseWords.whatClientsRead },
  { value: 'keeping', text: houseWords.keeping },
  { value: 'together', text: houseWords.whatWentTogether },
  { value: 'audit', text: houseWords.whoDidWhat2 },
];

interface Props {
  readonly view: HouseView;
  readonly part: Part;
  readonly filter: AuditFilter;
  readonly page: number;
}

/** What the owner sees to. */
export function House({ view, part: first, filter, page }: Props) {
  const [part, setPart] = useState(first);
  const { say, toasts } = useToasts();
  return (
    <>
      <main id="main" className={styles['view']}>
        <div className={styles['top']}>
          <h1>{view.name}</h1>
          <a className={styles['version']} href="/licences">
            {houseWords.ofVersion(view.version)}
          </a>
          <Choice label={houseWords.partOfTheHouse} isLabelHidden options={parts} value={part} onChange={setPart} />
        </div>
        {part === 'people' && <People people={view.people} qualifications={view.qualifications} />}
        {part === 'people' && <SignInRules first={view.secondFactor} say={say} />}
        {part === 'measuring' && <Measuring first={view.measuring} say={say} />}
        {part === 'measuring' && <Currency first={view.currency} say={say} />}
        {part === 'measuring' && <Dates first={view.dateOrder} say={say} />}
        {part === 'consent' && <HousePhone first={view.phone} say={say} />}
        {part === 'consent' && <ClientLanguage first={view.language} say={say} />}
        {part === 'consent' && <Wording wording={view.wording} say={say} />}
        {part === 'keeping' && <Keeping say={say} />}
        {part === 'together' && <HouseTogether />}
        {part === 'audit' && <Audit audit={view.audit} people={view.people} filter={filter} page={page} />}
      </main>
      {toasts}
    </>
  );
}

/** As the page shows it. */
export const HouseIsland = unpacked(House);
