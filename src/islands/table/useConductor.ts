import { useCallback, useEffect, useRef, useState } from 'react';
import type { Spoken } from '../../core/table/conduct';
import { type Speech, speechWithEar } from '../devices/speech';
import { type Conducting, keepConducting, readConducting, usualConducting } from './conducting';

/** Says each moment of a treatment once while the voice is on; a new one goes before what is still being said. */
export function useConductor(spoken: Spoken | undefined) {
  const [conducting, setConducting] = useState<Conducting>(usualConducting);
  const speech = useRef<Speech>(undefined);
  useEffect(() => {
    const opened = speechWithEar();
    speech.current = opened;
    // Kept on this device; the page was made without knowing it.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setConducting(readConducting(() => localStorage));
    return () => {
      opened.hush();
      opened.close();
    };
  }, []);
  const { sound, manner } = conducting;
  const latest = useRef(manner);
  useEffect(() => {
    latest.current = manner;
  }, [manner]);
  const { moment, text } = spoken ?? {};
  useEffect(() => {
    if (sound === 'voice' && moment !== undefined && text) speech.current?.say(text, latest.current);
  }, [sound, moment, text]);
  useEffect(() => {
    if (sound !== 'voice') speech.current?.hush();
  }, [sound]);
  const change = useCallback((part: Partial<Conducting>) => {
    setConducting((before) => {
      const next = { ...before, ...part };
      keepConducting(() => localStorage, next);
      return next;
    });
  }, []);
  /** Says something beside the course of the treatment, as it would be said. */
  const say = useCallback((words: string) => speech.current?.say(words, latest.current), []);
  const voices = useCallback(() => speech.current?.voices() ?? [], []);
  return { conducting, change, say, voices };
}
