import type { VisitId } from '../../core/ids';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { HomeWish } from '../../contracts/home';
import type { HomeSheet } from '../../core/homecare/sheet';
import type { FieldError } from '../../core/result';
import { RequestError, send, sentenceOf } from '../api';

const settleMs = 180;

export interface DrawnUp {
  readonly sheet: HomeSheet | undefined;
  readonly errors: readonly FieldError[];
  readonly isDrawing: boolean;
  /** Makes it the client’s. @returns its id @throws RequestError */
  readonly keep: () => Promise<number>;
}

/** The sheet for a wish, drawn up anew with each change; only the newest answer counts. */
export function useDrawnUp(visitId: VisitId, wish: HomeWish): DrawnUp {
  const [made, setMade] = useState<{ readonly sheet?: HomeSheet; readonly errors: readonly FieldError[] }>({
    errors: [],
  });
  const [isDrawing, setIsDrawing] = useState(true);
  const newest = useRef(0);
  const key = JSON.stringify(wish);
  useEffect(() => {
    const turn = (newest.current += 1);
    const timer = setTimeout(async () => {
      setIsDrawing(true);
      try {
        const body = { wish: JSON.parse(key) as HomeWish, keep: false };
        const { sheet } = await send('POST /api/visits/{id}/home', { params: { id: visitId }, body });
        if (turn === newest.current) setMade({ sheet, errors: [] });
      } catch (error) {
        const errors = (error instanceof RequestError ? error.problem.errors : undefined) ?? [
          { path: '', message: sentenceOf(error) },
        ];
        if (turn === newest.current) setMade({ errors });
      }
      if (turn === newest.current) setIsDrawing(false);
    }, settleMs);
    return () => clearTimeout(timer);
  }, [key, visitId]);
  const keep = useCallback(async () => {
    const body = { wish: JSON.parse(key) as HomeWish, keep: true };
    const { id } = await send('POST /api/visits/{id}/home', { params: { id: visitId }, body });
    // What is kept has a number.
    return id ?? 0;
  }, [key, visitId]);
  return { sheet: made.sheet, errors: made.errors, isDrawing, keep };
}
