import type { LineKind, Point } from '../../core/facial/line';

/** Where a line usually runs, on the drawing from the front and on the client's left; to begin with, or by keyboard. */
export const usualLines: Readonly<Record<LineKind, readonly (readonly Point[])[]>> = {
  forehead: [
    [
      [238, 168],
      [268, 160],
      [300, 158],
      [332, 160],
      [362, 168],
    ],
    [
      [244, 146],
      [300, 138],
      [356, 146],
    ],
  ],
  frown: [
    [
      [311, 214],
      [313, 196],
      [311, 180],
    ],
  ],
  crow: [
    [
      [404, 240],
      [420, 232],
      [434, 228],
    ],
    [
      [405, 248],
      [422, 248],
      [436, 250],
    ],
    [
      [403, 256],
      [418, 263],
      [430, 272],
    ],
  ],
  smile: [
    [
      [334, 334],
      [346, 348],
      [356, 368],
      [361, 388],
    ],
  ],
  'mouth-corner': [
    [
      [358, 398],
      [363, 416],
      [364, 434],
    ],
  ],
  neck: [
    [
      [244, 536],
      [300, 546],
      [356, 536],
    ],
    [
      [250, 568],
      [300, 578],
      [350, 568],
    ],
  ],
};

export const lineNames: Readonly<Record<LineKind, string>> = {
  forehead: 'Forehead line',
  frown: 'Frown line',
  crow: 'Crow line',
  smile: 'Smile line',
  'mouth-corner': 'Line of the mouth corner',
  neck: 'Neck line',
};
