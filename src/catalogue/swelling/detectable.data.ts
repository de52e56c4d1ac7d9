import type { DetectableChange, MeasuredQuantity } from '../../core/swelling/detectable';

/**
 * Minimal detectable changes (95 %) until a practice has its own: volumes in mL, lengths in cm, the face in % of the
 * first value. Published figures spread widely with protocol and rater; replace the volumes with your own duplicates.
 * Source: Taylor and others (2006), Phys Ther 86:205–214; Tidhar and others (2015), J Pers Med 5:341–353; Deltombe and
 * others (2007), Lymphology 40:26–34; for the ankle Rohner-Spengler and others (2007), J Orthop Sports Phys Ther 37:199.
 */
export const detectableChanges: Readonly<Record<MeasuredQuantity, DetectableChange & { readonly name: string }>> = {
  'arm-volume': { name: 'arm volume', same: 150, different: 250 },
  'leg-volume': { name: 'leg volume', same: 300, different: 500 },
  girth: { name: 'one girth, hand to upper arm or foot to calf', same: 1, different: 1 },
  'thigh-girth': { name: 'one girth, thigh', same: 1.5, different: 1.5 },
  'hand-eight': { name: 'hand figure-of-eight', same: 1, different: 1 },
  'ankle-eight': { name: 'foot and ankle figure-of-eight', same: 1, different: 1 },
  'face-percent': { name: 'face or neck composite', same: 2, different: 2 },
  'abdomen-girth': { name: 'abdomen girth', same: 3, different: 3 },
  'impedance-ratio': { name: 'impedance ratio', same: 0.03, different: 0.03 },
};
