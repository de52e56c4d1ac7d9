import { Suspense, useState } from 'react';
import { laterPart } from '../later';
import { useCover } from '../shortcuts/use-shortcuts';
import type { DialogProps } from './dialog-props';

const { fetch, Part: OpenDialog } = laterPart(() => import('./OpenDialog').then((module) => module.OpenDialog));

/** Has it here before it is opened: where the network may be gone by then. */
export const keepDialogReady = async (): Promise<void> => void (await fetch());

/** A dialog that keeps the focus inside, closes with Escape and gives the focus back. */
export function Dialog(props: DialogProps) {
  const { isOpen } = props;
  useCover(isOpen);
  const [wasOpened, setWasOpened] = useState(isOpen);
  if (isOpen && !wasOpened) setWasOpened(true);
  if (!wasOpened) return null;
  return (
    <Suspense>
      <OpenDialog {...props} />
    </Suspense>
  );
}
