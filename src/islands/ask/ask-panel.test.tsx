import { renderToStaticMarkup } from 'react-dom/server';
import { beforeEach, describe, expect, it } from 'vitest';
import type { AskState, AskView as View } from '../../contracts/ask-views';
import { answerIntake } from '../../server/screening/answer-intake';
import { addFinding } from '../../server/screening/save-finding';
import { actor, finding, openHouse, type TestHouse } from '../../server/shared/test-house';
import { readAsk } from '../../server/screening/read-ask';
import { Check, GatedCheck } from './Check';
import { Decisions } from './Decisions';
import { FindingDetail } from './FindingDetail';
import type { Asking } from './useAsk';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const still = (state: AskState) => ({ state }) as unknown as Asking;
async function opened(): Promise<View> {
  const view = await readAsk(house.db, house.visit);
  if (!view) throw new Error('no visit');
  return view;
}
const panel = (view: View, open?: string) =>
  renderToStaticMarkup(
    <Decisions state={view.state} asking={still(view.state)} open={open} onOpen={() => undefined} />,
  );

describe('the panel of decisions', () => {
  it('has a row for each kind of work that is not simply free, worst in sight, and one line for the rest', async () => {
    const view = await opened();
    const html = panel(view);
    for (const { label, decision, line } of view.state.screening.decisions)
      if (decision !== 'ok' || line !== '') expect(html).toContain(label);
    expect(html).toContain('Lymph drainage');
  });

  it('opens to reasons, places and limits', async () => {
    const html = panel(await opened(), 'lymph-drainage');
    expect(html).toContain('aria-expanded="true"');
    expect(html).toContain('Never lead fluid to the cleared groin');
    expect(html).toContain('left leg and its quarter of the trunk');
  });

  it('offers to loosen only what may be loosened', async () => {
    await answerIntake(house.db, house.visit, { answers: [{ condition: 'osteoporosis', answer: 'yes' }] }, actor);
    const view = await opened();
    const massage = view.state.screening.decisions.find(({ modality }) => modality === 'body-massage');
    const html = panel(view, 'body-massage');
    const loosened = massage?.limits.filter(({ looser }) => looser.length > 0) ?? [];
    expect(html.match(/Loosen: /g)?.length ?? 0).toBe(loosened.length);
  });

  it('offers nothing to set aside when the visit is stopped', async () => {
    await answerIntake(house.db, house.visit, { answers: [{ condition: 'fever', answer: 'yes' }] }, actor);
    const html = panel(await opened(), 'lymph-drainage');
    expect(html).not.toContain('Loosen');
  });
});

describe('a finding under its yes', () => {
  const detail = (view: View, id: string) => {
    const found = view.state.findings.find((f) => f.id === id);
    if (!found) throw new Error(id);
    return renderToStaticMarkup(
      <FindingDetail
        finding={found}
        condition={view.conditions.find((c) => c.id === id)}
        conditions={view.conditions}
        state={view.state}
        asking={still(view.state)}
        isMarking={false}
        onMark={() => undefined}
        onAdd={() => undefined}
      />,
    );
  };

  it('asks for side, date and what follows', async () => {
    const html = detail(await opened(), 'nodes-removed-inguinal');
    expect(html).toContain('Side of the client');
    expect(html).toContain('value="01/01/2023"');
    expect(html).toContain('Is the leg, foot or lower belly swollen or heavy?');
  });

  it('says that an unmarked place counts as everywhere, and “not sure” as so', async () => {
    await answerIntake(house.db, house.visit, { answers: [{ condition: 'port', answer: 'unsure' }] }, actor);
    const html = detail(await opened(), 'port');
    expect(html).toContain('Not marked: counts as everywhere.');
    expect(html).toContain('Counts as so until it has been cleared up.');
  });

  it('asks for a note where only a note helps', async () => {
    await addFinding(house.db, house.client, finding({ id: 'heart-failure-treated' }), actor);
    expect(detail(await opened(), 'heart-failure-treated')).toContain('A written note from the treating professional');
  });
});

describe('the check of the day', () => {
  it('asks every red flag with a yes in brick, what was so, what came up, and how the last visit was borne', async () => {
    const view = await opened();
    const html = renderToStaticMarkup(
      <Check
        view={view}
        asking={still(view.state)}
        current={undefined}
        marking={undefined}
        onCurrent={() => undefined}
        onAnswer={() => undefined}
        onIntake={() => undefined}
        onMark={() => undefined}
      />,
    );
    for (const { text } of view.check.flags) expect(html).toContain(text.replaceAll('’', '’'));
    expect(html.match(/data-tone="brick"/g)).toHaveLength(view.check.flags.length);
    expect(html).toContain('Any of these today?');
    expect(html).toContain('Skin today?');
  });

  it('closes many questions behind one gate, whose words name them', async () => {
    const view = await opened();
    const html = renderToStaticMarkup(
      <GatedCheck
        view={view}
        asking={still(view.state)}
        opened={new Set()}
        current="gate:alarm"
        marking={undefined}
        onCurrent={() => undefined}
        onAnswer={() => undefined}
        onIntake={() => undefined}
        onMark={() => undefined}
      />,
    );
    expect(html.match(/data-gate="true"/g)).toHaveLength(view.check.gates.length);
    expect(html).toContain('Anything alarming today?');
    expect(html).toContain('a drooping face');
    expect(html).not.toContain('data-tone="brick"');
  });

  it('shows behind an opened gate its red flags in brick', async () => {
    const view = await opened();
    const html = renderToStaticMarkup(
      <GatedCheck
        view={view}
        asking={still(view.state)}
        opened={new Set(['alarm'])}
        current={undefined}
        marking={undefined}
        onCurrent={() => undefined}
        onAnswer={() => undefined}
        onIntake={() => undefined}
        onMark={() => undefined}
      />,
    );
    const alarm = view.check.gates.find(({ id }) => id === 'alarm');
    expect(html.match(/data-tone="brick"/g)).toHaveLength(alarm?.questions.length ?? 0);
  });
});
