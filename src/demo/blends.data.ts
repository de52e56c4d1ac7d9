import type { BlendInput } from '../contracts/oil-house';

/** Blends of the demo house. */
export const eveningBlend: BlendInput = {
  ...{ name: 'Evening blend', area: 'body', volumeMl: 100, carrier: 'rice-bran' },
  parts: [
    { oil: 'lavender', drops: 23 },
    { oil: 'orange-sweet', drops: 11 },
    { oil: 'cedarwood-atlas', drops: 9 },
  ],
  uses: ['sleep', 'calming'],
};
export const warmBlend: BlendInput = {
  ...{ name: 'Warm shoulders', area: 'body', volumeMl: 100, carrier: 'grapeseed' },
  parts: [
    { oil: 'marjoram-sweet', drops: 16 },
    { oil: 'ginger', drops: 12 },
    { oil: 'lavender', drops: 14 },
  ],
  uses: ['muscle-ease', 'joint-warmth'],
};
export const faceBlend: BlendInput = {
  ...{ name: 'Quiet face', area: 'face', volumeMl: 30, carrier: 'jojoba' },
  parts: [
    { oil: 'geranium', drops: 2 },
    { oil: 'frankincense', drops: 2 },
  ],
  uses: ['skin-balance', 'mature-skin'],
};
