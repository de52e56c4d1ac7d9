import { planWords } from './plan.words';
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
        label={planWords.start}
        options={[
          { value: 'neck-first', text: planWords.neckFirst },
          { value: 'breath-first', text: planWords.breathFirst },
        ]}
        value={school.start}
        onChange={(start) => set({ start })}
      />
      <Choice
        label={planWords.hand}
        options={[
          { value: 'stretch', text: planWords.skinStretch },
          { value: 'sweep', text: planWords.sweep },
          { value: 'roller', text: planWords.roller },
        ]}
        value={school.hand}
        onChange={(hand) => set({ hand })}
      />
      <Choice
        label={planWords.removedNodes}
        options={[
          { value: 'reroute-only', text: planWords.keepAway },
          { value: 'reroute-and-stimulate', text: planWords.touchWhatIsLeftLast },
        ]}
        value={school.removedSide}
        onChange={(removedSide) => set({ removedSide })}
      />
      <Choice
        label={planWords.waysOut}
        options={[
          { value: '1', text: planWords.theNearest },
          { value: '2', text: planWords.twoIfNearEnough },
        ]}
        value={school.exits === 1 ? '1' : '2'}
        onChange={(exits) => set({ exits: exits === '1' ? 1 : 2 })}
      />
    </>
  );
}
