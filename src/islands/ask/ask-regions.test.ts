import { describe, expect, it } from 'vitest';
import type { AskState } from '../../contracts/ask-views';
import { askRegions } from './ask-regions';

type Work = AskState['screening']['decisions'][number];
const workAt = (...places: readonly { decision: string; regions: readonly string[] }[]) =>
  ({ places }) as unknown as Work;
const nothing = { regions: new Map(), nodes: new Map(), signs: [] };
const shown = (input: Partial<Parameters<typeof askRegions>[0]>) =>
  askRegions({ focus: [], work: undefined, found: nothing, marking: [], ...input });

describe('the body while asking', () => {
  it('shows what is to be drained', () => {
    expect(shown({ focus: ['calf-upper.left'] }).get('calf-upper.left')?.tone).toBe('drain');
  });

  it('closes what a kind of work may not touch, and tells it from what it may with changes', () => {
    const work = workAt(
      { decision: 'avoid-region', regions: ['calf-upper.left'] },
      { decision: 'modify', regions: ['calf-lower.left'] },
    );
    const regions = shown({ focus: ['calf-upper.left', 'calf-lower.left', 'thigh-front.left'], work });
    expect(regions.get('calf-upper.left')?.tone).toBe('closed');
    expect(regions.get('calf-lower.left')?.tone).toBe('prepare');
    expect(regions.get('thigh-front.left')?.tone).toBe('drain');
  });

  it('lets the strictest of two places stand: it comes first', () => {
    const work = workAt(
      { decision: 'avoid-region', regions: ['belly.left'] },
      { decision: 'modify', regions: ['belly.left'] },
    );
    expect(shown({ work }).get('belly.left')?.tone).toBe('closed');
  });

  it('never lets a softer mark hide what a finding closes', () => {
    const found = { ...nothing, regions: new Map([['chest.left', { tone: 'closed' as const, words: 'port' }]]) };
    const work = workAt({ decision: 'modify', regions: ['chest.left'] });
    expect(shown({ focus: ['chest.left'], work, found }).get('chest.left')?.words).toBe('port');
  });

  it('shows on top what is being marked', () => {
    expect(shown({ focus: ['neck.left'], marking: ['neck.left'] }).get('neck.left')?.words).toBe('marked');
  });
});
