import { z } from 'zod';
import { faceDrawings, lineKinds } from '../../core/facial/line';
import type { FaceLine, Point } from '../../core/facial/line';

const PointShape: z.ZodType<Point> = z.tuple([z.number(), z.number()]).readonly();
export const FaceLineShape: z.ZodType<FaceLine> = z.object({
  id: z.string(),
  kind: z.enum(lineKinds),
  side: z.enum(['left', 'right', 'mid']),
  drawing: z.enum(faceDrawings),
  profile: z.enum(['left', 'right']),
  points: z.array(PointShape).readonly(),
  depth: z.number().optional(),
});
