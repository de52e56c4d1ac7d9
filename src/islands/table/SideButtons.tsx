import type { MarkSide } from '../../core/table/mark-kinds';
import { Kbd } from '../../ui/kbd/Kbd';
import { tableWords } from './table.words';

interface Props {
  /** What the key in the middle says. */
  readonly both: string;
  readonly onSide: (side: MarkSide) => void;
}

/** Left, both and right of the client by three large keys; the arrows and a foot switch do the same. */
export function SideButtons({ both, onSide }: Props) {
  const choices = [
    ['left', '←', tableWords.clientsLeft],
    ['both', '↓', both],
    ['right', '→', tableWords.clientsRight],
  ] as const;
  return choices.map(([side, key, words]) => (
    <button
      key={side}
      type="button"
      data-side={side}
      onClick={(event) => {
        onSide(side);
        event.currentTarget.blur();
      }}
    >
      <Kbd>{key}</Kbd> {words}
    </button>
  ));
}
