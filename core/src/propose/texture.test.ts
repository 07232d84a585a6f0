import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { seededRandom } from '../measure/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { blob } from '../testing/shapes.ts';
import { USUAL_FACTORS } from '../work/index.ts';

/** The filling that is suggested for each area, by the id of its part. */
function fillings(body: string, use: 'framed' | 'worn' | 'patch' = 'framed'): Record<string, string> {
  const { plan } = new Planner().plan(svgPiece(body, { use }), USUAL_FACTORS);
  return Object.fromEntries(
    plan.parts.map(({ part, passes }) => [part.id, passes.find(({ role }) => role === 'filling')?.stitch ?? 'none']),
  );
}

describe('the form of an area', () => {
  it('is judged on the whole of it where little lies on it: a disc with two eyes is worked like the disc without', () => {
    const face = (r: number): string => `<circle id="face" r="${r}" fill="#c96"/>`;
    const eyes =
      '<circle id="left" cx="-5" cy="-3" r="2.4" fill="#222"/><circle id="right" cx="5" cy="-3" r="2.4" fill="#222"/>';
    for (const r of [9, 14, 19]) {
      for (const use of ['framed', 'worn', 'patch'] as const) {
        expect(fillings(face(r) + eyes, use)['face'], `${r} ${use}`).toBe(fillings(face(r), use)['face']);
      }
    }
  });

  it('a wall with windows is a wall', () => {
    const wall = '<rect id="wall" width="50" height="36" fill="#c96"/>';
    const windows = [8, 32].map((x) => `<rect x="${x}" y="10" width="9" height="12" fill="#246"/>`).join('');
    expect(fillings(wall + windows)['wall']).toBe(fillings(wall)['wall']);
  });

  it('is judged on what is seen where most of it is hidden: a crescent is no disc', () => {
    const moon = fillings('<circle id="moon" r="14" fill="#c96"/><circle id="sky" cx="7" r="13" fill="#246"/>')['moon'];
    expect(moon).not.toBe(fillings('<circle id="moon" r="14" fill="#c96"/>')['moon']);
  });
});

describe('one colour', () => {
  it('has one texture: that of its largest area, wherever it is allowed', () => {
    const both = fillings(
      '<rect id="large" width="34" height="30" fill="#c96"/><rect id="small" x="50" width="9" height="24" fill="#c96"/>',
    );
    expect(both['small']).toBe(both['large']);
    // Another colour has its own.
    const other = fillings(
      '<rect id="large" width="34" height="30" fill="#c96"/><rect id="small" x="50" width="9" height="24" fill="#246"/>',
    );
    expect(other['small']).toBe('satin');
    // A dot is a knot in whatever colour.
    expect(
      fillings('<rect id="large" width="34" height="30" fill="#c96"/><circle id="dot" cx="50" r="1" fill="#c96"/>')[
        'dot'
      ],
    ).toBe('french');
  });

  it('is in several fillings in at most 5 of 60 drawings', () => {
    let several = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const random = seededRandom(seed);
      const colours = ['#cc6633', '#224466', '#558833'];
      const shapes = Array.from({ length: 9 }, (_, i) => {
        const scale = random.between(0.3, 1.8);
        const points = [...blob(seed * 100 + i)[0]!].map(
          (value, k) => value * scale + (k % 2 ? Math.floor(i / 3) : i % 3) * 70,
        );
        return `<path d="M${points.map((value) => value.toFixed(2)).join(' ')}Z" fill="${colours[Math.floor(random.next() * 3)]}"/>`;
      });
      const { plan } = new Planner().plan(svgPiece(shapes.join('')), USUAL_FACTORS);
      const byColour = new Map<string, Set<string>>();
      for (const { part, passes } of plan.parts) {
        const stitch = passes.find(({ role }) => role === 'filling')?.stitch;
        const texture = stitch?.startsWith('satin') ? 'satin' : stitch;
        if (texture) byColour.set(part.colour, (byColour.get(part.colour) ?? new Set()).add(texture));
      }
      if ([...byColour.values()].some((textures) => textures.size > 1)) several++;
    }
    expect(several).toBeLessThanOrEqual(5);
  });
});
