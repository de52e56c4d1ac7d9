import { crc32, deflateSync } from 'node:zlib';

type Colour = readonly [number, number, number];
const paper: Colour = [244, 239, 232];
const skin: Colour = [222, 196, 172];
const shade: Colour = [186, 156, 134];
const line: Colour = [107, 91, 118];

const width = 300;
const height = 400;
const pxPerCm = 5.2;
const limbCentres = [92, 208] as const;

/**
 * A drawing of two limbs from their girths, for the demo's photographs: nobody stood for it.
 * @param positionsCm from the zero mark, rising
 * @param girthsCm of the limb on the left of the picture and of the one on the right
 * @returns a PNG of 300 by 400
 */
export function drawLimbs(
  positionsCm: readonly number[],
  girthsCm: readonly [readonly number[], readonly number[]],
): Buffer {
  const top = positionsCm.at(-1) ?? 0;
  const rows = Array.from({ length: height }, (_, y) => {
    const cm = top - ((y - 20) / (height - 40)) * top;
    const row = new Uint8Array(1 + width * 3);
    const halves = girthsCm.map((girths) => (girthAt(positionsCm, girths, cm) / Math.PI / 2) * pxPerCm);
    const isMark = positionsCm.some((x) => Math.abs(x - cm) < top / height);
    for (let x = 0; x < width; x += 1) {
      const colour = y < 20 || y >= height - 20 ? paper : colourAt(x, halves, isMark && y % 2 === 0);
      row.set(colour, 1 + x * 3);
    }
    return Buffer.from(row);
  });
  return png(width, height, Buffer.concat(rows));
}

function girthAt(positions: readonly number[], girths: readonly number[], cm: number): number {
  const i = Math.min(
    Math.max(
      1,
      positions.findIndex((x) => x >= cm),
    ),
    positions.length - 1,
  );
  const [a = 0, b = 1] = [positions[i - 1], positions[i]];
  const share = Math.min(1, Math.max(0, (cm - a) / (b - a)));
  return (girths[i - 1] ?? 0) * (1 - share) + (girths[i] ?? 0) * share;
}

function colourAt(x: number, halves: readonly number[], isMark: boolean): Colour {
  for (const [k, half] of halves.entries()) {
    const aside = Math.abs(x - (limbCentres[k] ?? 0));
    if (aside > half) continue;
    if (half - aside < 2 || isMark) return line;
    const roundness = aside / half;
    const mixed = (c: 0 | 1 | 2) => Math.round(skin[c] * (1 - roundness ** 3) + shade[c] * roundness ** 3);
    return [mixed(0), mixed(1), mixed(2)];
  }
  return paper;
}

/** Wraps rows of RGB, each with a filter byte of 0 in front, as a PNG. */
function png(columns: number, lines: number, data: Buffer): Buffer {
  const header = Buffer.alloc(13);
  header.writeUInt32BE(columns, 0);
  header.writeUInt32BE(lines, 4);
  header.set([8, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', header),
    chunk('IDAT', deflateSync(data)),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

function chunk(name: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(name, 'latin1'), data]);
  const framed = Buffer.alloc(body.length + 8);
  framed.writeUInt32BE(data.length, 0);
  body.copy(framed, 4);
  framed.writeUInt32BE(crc32(body), body.length + 4);
  return framed;
}
