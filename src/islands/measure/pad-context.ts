import { createContext, useContext } from 'react';
import { useTouch } from '../../ui/number-pad/NumberPad';

/** Whether the sheet has the house's own pad at its foot. */
export const HasPad = createContext(false);

/** Whether numbers are typed on our own pad here, so that the device's keyboard stays away. */
export function usePad(): boolean {
  const isTouch = useTouch();
  return useContext(HasPad) && isTouch;
}
