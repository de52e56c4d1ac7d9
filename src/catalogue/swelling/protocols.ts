import type { TapeProtocol } from '../../core/swelling/protocol';
import { shippedProtocols } from './protocols.data';

/** The protocol that a limb is taped by unless another was chosen. */
export function usualProtocol(limb: 'arm' | 'leg'): TapeProtocol {
  const protocol = shippedProtocols.find((one) => one.limb === limb);
  if (!protocol) throw new Error(`no protocol ships for the ${limb}`);
  return protocol;
}
