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

describe('a ground', () => {
  const dots = (at: readonly (readonly [number, number])[]): string =>
    at.map(([x, y], i) => `<circle id="d${i}" cx="${x}" cy="${y}" r="4" fill="#246"/>`).join('');
  const tile = '<rect id="under" x="-40" y="-30" width="80" height="60" fill="#c96"/>';
  const scattered = [
    [-25, -12],
    [-8, 15],
    [12, -5],
    [30, 18],
  ] as const;

  it('is scattered lightly or left in rows; with two things alike to the left and right it is a face', () => {
    expect(['seed', 'running-fill']).toContain(fillings(tile + dots(scattered))['under']);
    const eyes = [[-12, -8], [12, -8], ...scattered.slice(1, 3)] as const;
    expect(['seed', 'running-fill']).not.toContain(fillings(tile + dots(eyes))['under']);
  });

  it('has no bays: a wing that reaches round what lies on it is filled', () => {
    const wing =
      '<path id="under" d="M-40-30H40V30H10V-5H-10V30H-40Z" fill="#c96"/>' +
      dots([
        [-25, -12],
        [25, 15],
        [-28, 8],
        [20, -18],
      ]);
    expect(['seed', 'running-fill']).not.toContain(fillings(wing)['under']);
  });
});

describe('a line', () => {
  const body = '<path id="body" d="M0 0H40" fill="none" stroke="#224" stroke-width="1"/>';
  const leg = (x: number, top: number, colour: string, width: number): string =>
    `<path id="leg" d="M${x} ${top}V${top + 20}" fill="none" stroke="${colour}" stroke-width="${width}"/>`;

  it('that touches a longer one of its colour is worked like it, and by itself where it does not', () => {
    const alone = fillings(body + leg(20, 30, '#224', 1.9));
    expect(alone['leg']).not.toBe(alone['body']);
    expect(fillings(body + leg(20, 0, '#224', 1.9))['leg']).toBe(alone['body']);
    // Another colour, or a band more than twice as wide, stands for itself.
    expect(fillings(body + leg(20, 0, '#a33', 1.9))['leg']).toBe(alone['leg']);
    expect(fillings(body + leg(20, 0, '#224', 4))['leg']).not.toBe(alone['body']);
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
