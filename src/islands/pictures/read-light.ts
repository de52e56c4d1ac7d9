import { type Light, lightOf, lightPoints as side } from '../../core/pictures/light';

/** How light what is drawn or filmed is. @returns undefined where the browser gives no drawing surface */
export function readLight(source: CanvasImageSource): Light | undefined {
  const canvas = document.createElement('canvas');
  canvas.width = side;
  canvas.height = side;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return undefined;
  context.drawImage(source, 0, 0, side, side);
  return lightOf(context.getImageData(0, 0, side, side).data, side, 4);
}
