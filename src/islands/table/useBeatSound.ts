import { useEffect, useRef } from 'react';

/** A soft tick at each repetition while `isOn`; nothing is loaded, the tone is made on the spot. */
export function useBeatSound(isOn: boolean, beatKey: string): void {
  const audio = useRef<AudioContext>(undefined);
  useEffect(() => {
    if (!isOn) return;
    audio.current ??= new AudioContext();
    const context = audio.current;
    void context.resume();
    const start = context.currentTime;
    const tone = context.createOscillator();
    const gain = context.createGain();
    tone.frequency.value = 392;
    gain.gain.setValueAtTime(0, start);
    gain.gain.linearRampToValueAtTime(0.06, start + 0.015);
    gain.gain.exponentialRampToValueAtTime(0.0005, start + 0.22);
    tone.connect(gain).connect(context.destination);
    tone.start(start);
    tone.stop(start + 0.25);
  }, [isOn, beatKey]);
}
