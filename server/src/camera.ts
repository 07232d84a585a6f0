import { THRUMWICK } from '@junctura/core/materials';
import { seededRandom } from '@junctura/core/measure';

/** How strongly a warm lamp lights red, green and blue, in linear light. */
const WARM = [1.12, 0.86, 0.55] as const;
/** A grey card that reflects 40 in a hundred. */
const GREY_CARD = '#aaaaaa';
/** The skeins that lie beside it, by their places in the range. */
const SKEINS = [2, 24, 50, 71, 110, 150] as const;

const toLinear = (byte: number): number => {
  const c = byte / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
};
const toByte = (light: number): number => {
  const c = Math.min(1, Math.max(0, light));
  return Math.round(255 * (c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055));
};

/** A colour as the camera takes it under its lamp. */
export function underLamp(hex: string): string {
  const channels = [1, 3, 5].map((at, i) => toByte(toLinear(Number.parseInt(hex.slice(at, at + 2), 16)) * WARM[i]!));
  return `#${channels.map((value) => value.toString(16).padStart(2, '0')).join('')}`;
}

/** What the simulated camera takes: skeins on a table beside a grey card, in warm light. An SVG picture of 900 × 600. */
export function photograph(): string {
  const random = seededRandom(9);
  const skeins = SKEINS.map((place, i) => {
    const shade = THRUMWICK.shades[place]!;
    const [x, y] = [250 + (i % 3) * 210, 110 + Math.floor(i / 3) * 240];
    const strands = Array.from({ length: 9 }, (_, k) => {
      const bend = random.between(-5, 5);
      return `<path d="M${x} ${y + k * 15}c40 ${bend} 110 ${-bend} 165 0" stroke="${underLamp(shade.hex)}" stroke-width="15.5" fill="none"/>`;
    });
    return `<g>${strands.join('')}</g>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="600" viewBox="0 0 900 600">
<rect width="900" height="600" fill="${underLamp('#d8cfbf')}"/>
<rect x="50" y="180" width="140" height="220" fill="${underLamp(GREY_CARD)}"/>
${skeins.join('\n')}
</svg>
`;
}
