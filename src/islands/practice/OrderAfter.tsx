import { useState } from 'react';
import { type DrainageCase, qualificationIds } from '../../core/drainage/case';
import type { PlaceId } from '../../core/anatomy/place';
import type { NodeState } from '../../ui/body-map/MapNode';
import { Button } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { OrderCost } from '../flow/OrderCost';
import { Replay } from '../flow/Replay';
import type { DrillProps } from './drill-props';
import { practiceWords } from './practice.words';

interface Props {
  readonly question: DrillProps<'order'>['question'];
  readonly own: readonly string[];
  readonly best: readonly string[];
  readonly nodes: ReadonlyMap<PlaceId, NodeState>;
}

/** What the own order and the best one would have let out, and both as they flow. */
export function OrderAfter({ question, own, best, nodes }: Props) {
  const [isFlowing, setIsFlowing] = useState(false);
  useShortcuts([{ keys: ['F'], words: practiceWords.seeHowItFlows, act: () => setIsFlowing(true) }]);
  const stepOf = new Map(question.steps.map((step) => [step.id, step]));
  const stepsOf = (ids: readonly string[]) => ids.flatMap((id) => stepOf.get(id) ?? []);
  const { focus, findings, school, minutes } = question;
  const drainageCase: DrainageCase = {
    ...{ focus, findings, school, minutes, purpose: 'swelling', fill: false },
    qualifications: [...qualificationIds],
  };
  const [ownSteps, bestSteps] = [stepsOf(own), stepsOf(best)];
  return (
    <>
      {ownSteps.length > 0 && (
        <OrderCost drainageCase={drainageCase} taped={null} proposed={bestSteps} own={ownSteps} />
      )}
      <Button onClick={() => setIsFlowing(true)}>
        <Kbd>F</Kbd> {practiceWords.seeHowItFlows}
      </Button>
      {isFlowing && (
        <Replay
          name={practiceWords.practice}
          drainageCase={drainageCase}
          taped={null}
          steps={ownSteps.length > 0 ? ownSteps : bestSteps}
          proposed={ownSteps.length > 0 ? bestSteps : undefined}
          nodes={nodes}
          selected={undefined}
          onClose={() => setIsFlowing(false)}
        />
      )}
    </>
  );
}
