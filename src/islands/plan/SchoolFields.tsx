import type { School } from '../../core/drainage/case';
import { Choice } from '../../ui/choice/Choice';

/** What is done where practitioners disagree, for one plan. */
export function SchoolFields({
  school,
  onChange,
}: {
  readonly school: School;
  readonly onChange: (school: School) => void;
}) {
  const set = (part: Partial<School>) => onChange({ ...school, ...part });
  return (
    <>
      <Choice
        label="Start"
        options={[
          { value: 'neck-first', text: 'neck first' },
          { value: 'breath-first', text: 'breath first' },
        ]}
        value={school.start}
        onChange={(start) => set({ start })}
      />
      <Choice
        label="Hand"
        options={[
          { value: 'stretch', text: 'skin stretch' },
          { value: 'sweep', text: 'sweep' },
          { value: 'roller', text: 'roller' },
        ]}
        value={school.hand}
        onChange={(hand) => set({ hand })}
      />
      <Choice
        label="Removed nodes"
        options={[
          { value: 'reroute-only', text: 'keep away' },
          { value: 'reroute-and-stimulate', text: 'touch what is left, last' },
        ]}
        value={school.removedSide}
        onChange={(removedSide) => set({ removedSide })}
      />
      <Choice
        label="Ways out"
        options={[
          { value: '1', text: 'the nearest' },
          { value: '2', text: 'two, if near enough' },
        ]}
        value={school.exits === 1 ? '1' : '2'}
        onChange={(exits) => set({ exits: exits === '1' ? 1 : 2 })}
      />
    </>
  );
}
