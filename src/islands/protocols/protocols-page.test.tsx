import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { shippedProtocols } from '../../catalogue/swelling/protocols.data';
import type { TapeProtocol } from '../../core/swelling/protocol';
import { pack } from '../../ui/frame/packed';
import { ProtocolsIsland } from './Protocols';

const page = (limb: 'arm' | 'leg', more: readonly TapeProtocol[] = []) =>
  renderToStaticMarkup(<ProtocolsIsland packed={pack({ first: [...shippedProtocols, ...more], limb })} />);

describe('by which points limbs are taped', () => {
  it('shows those of one limb, the first with its points and how to prepare for it', () => {
    const arms = shippedProtocols.filter(({ limb }) => limb === 'arm');
    const html = page('arm');
    for (const { name } of shippedProtocols.filter(({ limb }) => limb === 'leg')) expect(html).not.toContain(name);
    for (const { name } of arms) expect(html).toContain(name);
    expect(html).toContain(`${arms[0]?.restMinutes} minutes`);
    expect(html).toContain(arms[0]?.posture ?? 'no posture');
  });

  it('lets what ships be copied, and only the house’s own be changed or taken out', () => {
    const [leg] = shippedProtocols.filter(({ limb }) => limb === 'leg');
    if (!leg) throw new Error('no protocol for legs');
    expect(page('leg')).toContain('Copy');
    expect(page('leg')).not.toContain('Take out');
    const html = page('leg', [{ ...leg, id: 'own-7', name: 'Short run' }]);
    expect(html).toContain('Short run');
    expect(html.match(/Take out/g)).toHaveLength(1);
  });
});
