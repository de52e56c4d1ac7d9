import sharp from 'sharp';

const mostPoints = 60_000_000;

/**
 * A picture without what cameras write into it: where, when and with what it was taken. It is turned as it was held.
 * @returns undefined for what no picture can be made of
 */
export async function plainPicture(content: Uint8Array): Promise<Buffer | undefined> {
  try {
    const picture = sharp(content, { limitInputPixels: mostPoints, failOn: 'error' }).rotate();
    const { format } = await picture.metadata();
    if (format === 'jpeg') return await picture.jpeg({ quality: 92, chromaSubsampling: '4:4:4' }).toBuffer();
    if (format === 'webp') return await picture.webp({ quality: 92 }).toBuffer();
    return await picture.png().toBuffer();
  } catch {
    return undefined;
  }
}
