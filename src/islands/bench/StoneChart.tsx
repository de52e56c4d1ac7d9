import { lazy, useMemo } from 'react';
import { stoneBook } from '../../catalogue/stones/stones';
import { stoneOption } from '../../charts/stone-options';
import type { Contact } from '../../core/stones/contact';
import { Drawn } from '../../ui/charts/Drawn';
import { useThemedPalette } from '../themed';
import styles from './StoneChart.module.css';

const Chart = lazy(() => import('../../ui/charts/Chart'));

interface Props {
  readonly contact: Contact | undefined;
  readonly bare: Contact | undefined;
  readonly before: Contact | undefined;
  readonly isCold: boolean;
  readonly label: string;
}

/** Temperatures over time; loaded only here. */
export function StoneChart({ contact, bare, before, isCold, label }: Props) {
  const palette = useThemedPalette();
  const option = useMemo(
    () =>
      contact && stoneOption({ contact, bare, before, isCold, basalCautionC: stoneBook.limits.basalCautionC }, palette),
    [bare, before, contact, isCold, palette],
  );
  return (
    <Drawn className={styles['chart']}>
      {option ? (
        <Chart option={option} label={label} className={styles['chart'] ?? ''} />
      ) : (
        <div className={styles['chart']} aria-busy="true" />
      )}
    </Drawn>
  );
}
