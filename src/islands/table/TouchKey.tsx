import { Kbd } from '../../ui/kbd/Kbd';
import styles from './TableView.module.css';

interface Props {
  readonly onPress: () => void;
  readonly name: string;
  readonly keyName: string;
  readonly wide?: boolean;
}

/** A key of the table, for a finger; it gives the focus back, so that the space bar goes on meaning “next”. */
export function TouchKey({ onPress, name, keyName, wide = false }: Props) {
  return (
    <button
      type="button"
      className={styles['key']}
      data-wide={wide ? true : undefined}
      onClick={(event) => {
        onPress();
        event.currentTarget.blur();
      }}
    >
      <Kbd>{keyName}</Kbd> {name}
    </button>
  );
}
