import sharp from 'sharp';
import { type Light, lightOf, lightPoints as side } from '../../core/pictures/light';

/** How light a picture is. @returns null for what no picture can be made of */
export async function measureLight(content: Uint8Array): Promise<Light | null> {
  try {
    const { data } = await sharp(content)
      .flatten({ background: '#ffffff' })
      .toColourspace('srgb')
      .resize(side, side, { fit: 'fill' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    return lightOf(data, side, data.length === side * side * 4 ? 4 : 3);
  } catch {
    return null;
  }
}
