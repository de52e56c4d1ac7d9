import type { HouseView } from '../../contracts/house-views';
import { Button } from '../../ui/button/Button';
import { Field, Select } from '../../ui/field/Field';
import styles from './House.module.css';

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
        <h2>Who did what</h2>
      </div>
      <form className={styles['filter']} method="get" action="/house">
        <input type="hidden" name="part" value="audit" />
        <Select label="Who" name="by" defaultValue={filter.by}>
          <option value="">everybody</option>
          {people.map((person) => (
            <option key={person.id} value={person.id}>
              {person.name}
            </option>
          ))}
        </Select>
        <Field label="Client" name="about" defaultValue={filter.about} placeholder="part of a name" />
        <Field label="What" name="action" defaultValue={filter.action} placeholder="such as erased, seen" />
        <Field label="Until" name="until" type="date" defaultValue={filter.until} />
        <Button type="submit">Show</Button>
      </form>
      {audit.entries.length === 0 ? (
        <p className={styles['quiet']}>Nothing on the trail fits.</p>
      ) : (
        <table className={styles['trail']}>
          <thead>
            <tr>
              <th scope="col">When</th>
              <th scope="col">Who</th>
              <th scope="col">What</th>
              <th scope="col">Of whom</th>
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
        {page > 1 && <a href={pageHref(page - 1)}>← Newer</a>}
        {audit.hasMore && <a href={pageHref(page + 1)}>Older →</a>}
      </p>
    </>
  );
}
