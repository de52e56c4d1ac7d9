import { z } from 'zod';

/** Copies of the house, and what can be done with them. */

const BackupView = z.object({ name: z.string(), made: z.string(), bytes: z.number() });

export const KeepingView = z.object({
  folder: z.string(),
  hasPassphrase: z.boolean(),
  /** When the last good one was made, in words; '' when there is none. */
  lastGood: z.string(),
  /** What went wrong the last time; '' when nothing did. */
  trouble: z.string(),
  running: z.object({ share: z.number(), doing: z.enum(['copying', 'packing']) }).nullable(),
  backups: z.array(BackupView).readonly(),
  /** A house that was kept aside when a backup was restored can come back. */
  canUndo: z.boolean(),
  /** The data on this computer is encrypted. */
  isEncrypted: z.boolean(),
});
export type KeepingView = z.infer<typeof KeepingView>;

export const KeepingInput = z.object({
  folder: z
    .string()
    .trim()
    .max(500, 'Keep the folder within 500 characters.')
    .regex(/^(\/|[A-Za-z]:\\)/, 'Write the whole path of a folder, such as /mnt/backups.'),
  /** Empty: stays as it is. */
  passphrase: z.string().max(200, 'Keep the passphrase within 200 characters.').default(''),
});
export type KeepingInput = z.infer<typeof KeepingInput>;

export const RestoreInput = z.object({
  name: z.string().regex(/^velvet-stone-\d{4}-\d{2}-\d{2}T\d{6}\.age$/, 'Choose one of the backups in the folder.'),
  /** Empty: the one that is kept for new backups. */
  passphrase: z.string().max(200).default(''),
});
export type RestoreInput = z.infer<typeof RestoreInput>;

/** What is in a backup, before anything is done with it. */
export const BackupContents = z.object({
  house: z.string(),
  made: z.string(),
  clients: z.number(),
  visits: z.number(),
  files: z.number(),
  /** Clients that were erased since, and will not come back. */
  erased: z.number(),
});
export type BackupContents = z.infer<typeof BackupContents>;

/** The passphrase that opens the house after each start. */
export const EncryptInput = z.object({ passphrase: z.string().max(200, 'Keep the passphrase within 200 characters.') });

/** How far encrypting is; null while nothing of the kind is done. */
export const CipherView = z.object({
  running: z.object({ share: z.number(), doing: z.enum(['copying', 'encrypting', 'checking']) }).nullable(),
});
export type CipherView = z.infer<typeof CipherView>;
