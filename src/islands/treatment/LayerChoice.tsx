import type { TableStep } from '../../core/table/table-step';
import { Button } from '../../ui/button/Button';
import { treatmentWords } from './treatment.words';
import type { TreatmentHandle } from './useTreatment';
import styles from './StoneChoice.module.css';

const mostOffered = 12;

/** The oil that drops in one step, and how often: what the shelf has for it and this skin may have. */
export function LayerChoice({ step, handle }: { readonly step: TableStep; readonly handle: TreatmentHandle }) {
  const { layers, names = {} } = handle.treatment.layers ?? {};
  const layer = layers?.find((one) => one.step === step.id);
  if (!layer || layer.oil === null) return null;
  const { oil, drops, mostDrops, mayBe } = layer;
  const take = (part: { readonly oil?: string; readonly drops?: number }) =>
    handle.change({ kind: 'layers', layers: { [step.id]: { oil, drops, ...part } } });
  const isChosen = handle.treatment.wish.layers?.[step.id] !== undefined;
  const most = Math.max(drops, Math.min(mostDrops ?? mostOffered, mostOffered));
  return (
    <span
      className={styles['stones']}
      role="group"
      aria-label={treatmentWords.dropsIn(step.told?.title ?? '', step.told?.block ?? '')}
    >
      <select
        aria-label={treatmentWords.oilThatDrops}
        value={oil}
        onChange={({ target }) => take({ oil: target.value, drops: 1 })}
      >
        {mayBe.map((id) => (
          <option key={id} value={id}>
            {names[id] ?? id}
          </option>
        ))}
      </select>
      <select
        aria-label={treatmentWords.howManyDrops}
        value={drops}
        onChange={({ target }) => take({ drops: Number(target.value) })}
      >
        {Array.from({ length: most }, (_, i) => i + 1).map((number) => (
          <option key={number} value={number}>
            {number}
          </option>
        ))}
      </select>
      <span>
        {layer.why} {mostDrops === null ? treatmentWords.noLimitKnownOfIt : treatmentWords.skinMayHave(mostDrops)}
      </span>
      {isChosen && (
        <Button look="link" onClick={() => handle.change({ kind: 'usual-layer', step: step.id })}>
          {treatmentWords.asTheShelfHasIt}
        </Button>
      )}
    </span>
  );
}
