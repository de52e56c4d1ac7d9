import styles from './PaneTabs.module.css';

interface Props<P extends string> {
  readonly label: string;
  readonly panes: readonly { readonly id: P; readonly words: string }[];
  readonly here: P;
  readonly onChange: (pane: P) => void;
}

/** On a phone one pane at a time; where there is room all panes stand side by side, and these keys are gone. */
export function PaneTabs<P extends string>({ label, panes, here, onChange }: Props<P>) {
  return (
    <div className={styles['tabs']} role="group" aria-label={label}>
      {panes.map(({ id, words }) => (
        <button key={id} type="button" aria-pressed={id === here} onClick={() => onChange(id)}>
          {words}
        </button>
      ))}
    </div>
  );
}

/** For the pane itself: it is away on a phone while another one is looked at. */
export const paneOf = <P extends string>(id: P, here: P) => ({ 'data-pane': id === here ? 'here' : 'away' }) as const;
