import { BackupContents, CipherView, EncryptInput, KeepingInput, KeepingView, RestoreInput } from '../keeping';
import { del, get, post, put, saved, savedOnly } from './route';

const ofHouse = { who: 'owner', what: 'backup' } as const;

/** Copies of the house: making them, and going back to one. */
export const keepingRoutes = {
  readKeeping: get('/api/keeping', {
    ...ofHouse,
    summary: 'Where backups go, which there are, and how far the one is that is being made.',
    answer: KeepingView,
  }),
  changeKeeping: put('/api/keeping', {
    ...ofHouse,
    asksPin: true,
    summary: 'Says where backups go, and with which passphrase they are locked.',
    body: KeepingInput,
    answer: savedOnly,
    audit: ['keeping changed'],
  }),
  startBackup: post('/api/keeping/backup', {
    ...ofHouse,
    asksPin: true,
    summary: 'Begins a backup; it goes on while the house does.',
    answer: savedOnly,
    refusals: [400],
  }),
  cancelBackup: del('/api/keeping/backup', {
    ...ofHouse,
    summary: 'Ends the backup that is being made; nothing is left of it.',
    answer: savedOnly,
  }),
  lookIntoBackup: post('/api/keeping/look', {
    ...ofHouse,
    asksPin: true,
    summary: 'Checks a backup from end to end and tells what is in it; nothing is changed.',
    body: RestoreInput,
    answer: saved({ contents: BackupContents }),
  }),
  restoreBackup: post('/api/keeping/restore', {
    ...ofHouse,
    asksPin: true,
    summary: 'Puts a backup in the place of the house, which is kept aside. Everybody signs in again.',
    body: RestoreInput,
    answer: savedOnly,
    audit: ['backup restored'],
  }),
  undoRestore: post('/api/keeping/undo', {
    ...ofHouse,
    asksPin: true,
    summary: 'Brings the house back that was kept aside.',
    answer: savedOnly,
    refusals: [400],
    audit: ['restore undone'],
  }),
  encryptHouse: post('/api/keeping/encryption', {
    ...ofHouse,
    asksPin: true,
    summary: 'Encrypts the data on this computer; a passphrase opens the house after each start.',
    body: EncryptInput,
    answer: savedOnly,
    audit: ['house encrypted'],
  }),
  decryptHouse: post('/api/keeping/decryption', {
    ...ofHouse,
    asksPin: true,
    summary: 'Takes the encryption of the data away.',
    body: EncryptInput,
    answer: savedOnly,
    audit: ['house decrypted'],
  }),
  readCipher: get('/api/keeping/encryption', {
    who: 'everybody',
    whileLocked: true,
    whileHanded: true,
    what: 'house',
    summary: 'How far encrypting is; answered while the house itself is closed for it.',
    answer: CipherView,
  }),
} as const;
