import { type ClientImportView, type DoubleWay, doubleWays } from '../../contracts/client-imports';
import { Choice } from '../../ui/choice/Choice';
import { clientImportsWords } from './client-imports.words';
import styles from '../imports/imports.module.css';
import { type Decision, wayOf } from './outcome';

const wayWords: Readonly<Record<DoubleWay, string>> = {
  'leave-out': clientImportsWords.leaveOut,
  complete: clientImportsWords.complete,
  add: clientImportsWords.addAnyway,
};

interface Props {
  readonly job: Pick<ClientImportView, 'doubles' | 'doubleCount'>;
  readonly decision: Decision;
  readonly onDecision: (decision: Decision) => void;
}

/** Who is on record already, and what becomes of them: one choice for all, and another one for single rows. */
export function Doubles({ job, decision, onDecision }: Props) {
  const more = job.doubleCount - job.doubles.length;
  const setOne = (row: number, way: DoubleWay) => {
    const apart = new Map(decision.apart);
    if (way === decision.all) apart.delete(row);
    else apart.set(row, way);
    onDecision({ ...decision, apart });
  };
  return (
    <>
      <Choice
        label={clientImportsWords.forAllOfThem}
        options={doubleWays.map((value) => ({ value, text: wayWords[value] }))}
        value={decision.all}
        onChange={(all) => onDecision({ all, apart: new Map() })}
      />
      <div className={styles['scroll']} tabIndex={0} role="group" aria-label={clientImportsWords.whoIsOnRecord}>
        <table>
          <caption>{clientImportsWords.whoIsOnRecord}</caption>
          <thead>
            <tr>
              <th scope="col">{clientImportsWords.row}</th>
              <th scope="col">{clientImportsWords.name}</th>
              <th scope="col">{clientImportsWords.onRecordAs}</th>
              <th scope="col">{clientImportsWords.theSameReason}</th>
              <th scope="col">{clientImportsWords.whatToDo}</th>
            </tr>
          </thead>
          <tbody>
            {job.doubles.map(({ row, name, bornOn, why, known, earlierRow, gains }) => (
              <tr key={row}>
                <td>{row}</td>
                <th scope="row">
                  {name}
                  {bornOn && <span className={styles['soft']}>, {bornOn}</span>}
                </th>
                <td>
                  {known ? (
                    <>
                      <a href={`/clients/${known.id}`}>{known.name}</a>
                      <span className={styles['soft']}>
                        {' '}
                        {gains.length > 0
                          ? clientImportsWords.wouldGain(gains.join(', '))
                          : clientImportsWords.gainsNothing}
                      </span>
                    </>
                  ) : (
                    clientImportsWords.rowOfTheFile(earlierRow ?? 0)
                  )}
                </td>
                <td>{why}</td>
                <td>
                  <select
                    aria-label={clientImportsWords.howToTreat(name, row)}
                    value={wayOf(decision, row)}
                    onChange={(event) => setOne(row, event.target.value as DoubleWay)}
                  >
                    {doubleWays
                      .filter((way) => way !== 'complete' || known)
                      .map((way) => (
                        <option key={way} value={way}>
                          {wayWords[way]}
                        </option>
                      ))}
                  </select>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {more > 0 && <p className={styles['soft']}>{clientImportsWords.andMoreLikeThese(more)}</p>}
      </div>
    </>
  );
}
