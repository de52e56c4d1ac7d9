import { z } from 'zod';

/** What a note may hold: paragraphs and lists of plain, bold or italic text. Anything else an editor sends is refused. */
const text = z.object({
  type: z.literal('text'),
  text: z.string().min(1).max(4000),
  marks: z
    .array(z.object({ type: z.enum(['bold', 'italic']) }))
    .max(2)
    .readonly()
    .optional(),
});
const paragraph = z.object({ type: z.literal('paragraph'), content: z.array(text).max(400).readonly().optional() });
const bulletList = z.object({
  type: z.literal('bulletList'),
  content: z
    .array(z.object({ type: z.literal('listItem'), content: z.array(paragraph).min(1).max(20).readonly() }))
    .max(100)
    .readonly(),
});
export const NoteDocInput = z.object({
  type: z.literal('doc'),
  content: z
    .array(z.discriminatedUnion('type', [paragraph, bulletList]))
    .max(300, 'Keep the note shorter.')
    .readonly(),
});
