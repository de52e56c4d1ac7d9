import { lineWorkId } from '../../core/facial/line-work';

/** What clients come for, and the protocols that serve it. */
export const purposes: readonly {
  readonly id: string;
  readonly label: string;
  readonly protocols: readonly string[];
}[] = [
  {
    id: 'swelling',
    label: 'Swelling',
    protocols: [
      'open-and-clear',
      'upper-body-drainage',
      'leg-drainage',
      'arm-drainage',
      'breast-chest-after-surgery',
      'after-cosmetic-surgery',
      'chest-recoil',
    ],
  },
  {
    id: 'puffy-face',
    label: 'Puffy face',
    protocols: ['open-and-clear', 'face-drainage', 'face-roller', 'stones-face-cool'],
  },
  {
    id: 'lift-and-lines',
    label: 'Lift and lines',
    protocols: ['lifting-facial', 'firming-facial', 'mouth-gloved', 'tool-neck-jaw', lineWorkId],
  },
  {
    id: 'rest',
    label: 'Rest',
    protocols: [
      'relaxing-face',
      'aroma-whole-body',
      'scalp-shoulders',
      'spine-oil-layers',
      'oil-leg-foot-belly-arm',
      'stones-back',
    ],
  },
  {
    id: 'tension',
    label: 'Tight muscles',
    protocols: [
      'neck-release',
      'stones-neck',
      'stones-back',
      'stones-leg-back',
      'tool-neck-jaw',
      'mouth-gloved',
      'oil-leg-foot-belly-arm',
      'scalp-shoulders',
    ],
  },
  { id: 'skin', label: 'Skin and circulation', protocols: ['dry-brush-body', 'aroma-whole-body'] },
  { id: 'belly', label: 'Digestion', protocols: ['belly', 'oil-leg-foot-belly-arm'] },
  {
    id: 'home',
    label: 'To do at home',
    protocols: [
      'face-self-counted',
      'home-nodes-breathing',
      'home-after-armpit-one',
      'home-after-armpit-both',
      'home-one-leg',
      'home-face-three',
      'home-neck-jaw-tool',
      'home-roller',
      'home-mouth',
    ],
  },
];
