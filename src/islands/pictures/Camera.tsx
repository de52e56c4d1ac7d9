import { type ReactNode, useEffect, useRef, useState } from 'react';
import type { Light } from '../../core/pictures/light';
import { Button } from '../../ui/button/Button';
import { LightLine } from './LightLine';
import { picturesWords } from './pictures.words';
import styles from './pictures.module.css';
import { readLight } from './read-light';

interface Props {
  /** The light of the last picture of the view. */
  readonly before: Light | null | undefined;
  /** Laid over what the camera sees: the last picture, and the grid. */
  readonly over: ReactNode;
  readonly onShot: (canvas: HTMLCanvasElement) => void;
  readonly onClose: (trouble?: string) => void;
}

const wanted = { video: { facingMode: { ideal: 'environment' }, width: { ideal: 1920 }, height: { ideal: 1440 } } };
const lookEveryMs = 700;

/** A camera can only be asked for by a page that came over a safe way. */
export const hasCamera = (): boolean => typeof navigator.mediaDevices?.getUserMedia === 'function';

/** What the camera sees, with the last picture half-seen over it, so that angle and size come out the same. */
export function Camera({ before, over, onShot, onClose }: Props) {
  const video = useRef<HTMLVideoElement>(null);
  const [isOpen, setIsOpen] = useState(false);
  const [light, setLight] = useState<Light>();
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  });

  useEffect(() => {
    let isGone = false;
    let stream: MediaStream | undefined;
    const stop = () => stream?.getTracks().forEach((track) => track.stop());
    void navigator.mediaDevices.getUserMedia(wanted).then(
      async (given) => {
        stream = given;
        if (isGone || !video.current) return stop();
        video.current.srcObject = given;
        await video.current.play().catch(() => undefined);
        setIsOpen(true);
      },
      () => !isGone && close.current(picturesWords.noCamera),
    );
    return () => {
      isGone = true;
      stop();
    };
  }, []);
  useEffect(() => {
    if (!isOpen) return undefined;
    const look = setInterval(() => video.current && setLight(readLight(video.current)), lookEveryMs);
    return () => clearInterval(look);
  }, [isOpen]);

  const shoot = () => {
    if (!video.current) return;
    const canvas = document.createElement('canvas');
    canvas.width = video.current.videoWidth;
    canvas.height = video.current.videoHeight;
    canvas.getContext('2d')?.drawImage(video.current, 0, 0);
    onShot(canvas);
  };
  return (
    <>
      <div className={styles['stage']}>
        <video ref={video} playsInline muted aria-label={picturesWords.viewfinder} />
        {!isOpen && <p role="status">{picturesWords.opening}</p>}
        {over}
      </div>
      <LightLine before={before} now={light} />
      <Button look="filled" onClick={shoot} disabled={!isOpen}>
        {picturesWords.shoot}
      </Button>
      <Button onClick={() => onClose()}>{picturesWords.closeCamera}</Button>
    </>
  );
}
