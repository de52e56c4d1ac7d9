import { houseWords } from './house.words';
import type { HouseView } from '../../contracts/house-views';
import { Button } from '../../ui/button/Button';
import { Field, Select } from '../../ui/field/Field';
import styles from './House.module.css';
import { DateField } from '../../ui/date-field/DateField';

export interface AuditFilter {
  readonly by: string;
  readonly about: string;
  readonly action: string;
  readonly until: string;
}

interface Props extends Pick<HouseView, 'audit' | 'people'> {
  readonly filter: AuditFilter;
  readonly page: number;
}

/** Who did what and when. The filter is an address, so that a view can be kept and shared. */
export function Audit({ audit, people, filter, page }: Props) {
  const pageHref = (to: number) =>
    `/house?${new URLSearchParams({ part: 'audit', ...filter, page: String(to) }).toString()}`;
  return (
    <>
      <div className={styles['heading']}>
        <h2>{houseWords.whoDidWhat}</h2>
      </div>
      <form className={styles['filter']} method="get" action="/house">
        <input type="hidden" name="part" value="audit" />
        <Select label={houseWords.who} name="by" defaultValue={filter.by}>
          <option value="">{houseWords.everybody}</option>
          {people.map((person) => (
            <option key={person.id} value={person.id}>
              {person.name}
            </option>
          ))}
        </Select>
        <Field
          label={houseWords.client}
          name="about"
          defaultValue={filter.about}
          placeholder={houseWords.partOfAName}
        />
        <Field
          label={houseWords.what}
          name="action"
          defaultValue={filter.action}
          placeholder={houseWords.suchAsErasedSeen}
        />
        <DateField label={houseWords.until} name="until" first={filter.until} />
        <Button type="submit">{houseWords.show}</Button>
      </form>
      {audit.entries.length === 0 ? (
        <p className={styles['quiet']}>{houseWords.nothingOnTheTrailFits}</p>
      ) : (
        <table className={styles['trail']}>
          <thead>
            <tr>
              <th scope="col">{houseWords.when}</th>
              <th scope="col">{houseWords.who}</th>
              <th scope="col">{houseWords.what}</th>
              <th scope="col">{houseWords.ofWhom}</th>
            </tr>
          </thead>
          <tbody>
            {audit.entries.map((entry) => (
              <tr key={entry.id}>
                <td>{entry.when}</td>
                <td>{entry.by}</td>
                <td>
                  {entry.action}
                  {entry.detail !== '' && <span> {entry.detail}</span>}
                </td>
                <td>
                  {entry.clientId === null ? entry.subject : <a href={`/clients/${entry.clientId}`}>{entry.subject}</a>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className={styles['pages']}>
        {page > 1 && <a href={pageHref(page - 1)}>{houseWords.newer}</a>}
        {audit.hasMore && <a href={pageHref(page + 1)}>{houseWords.older}</a>}
      </p>
    </>
  );
}
