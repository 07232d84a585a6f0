import { describe, expect, it } from 'vitest';
import { CLOTHS, hoopNeeds, isPulled, markOf, MARKS, STABILISER_IDS, clothOf } from '../materials/index.ts';
import { plainHoop, plainPass, plainScrap, type Piece } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { Planner } from '../advice/index.ts';
import type { Plan } from '../thread/index.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { behindCloth, layScrap, markingSteps, markOnScrap, rankWays, showsOn } from './index.ts';

const planOf = (piece: Piece): Plan => new Planner().plan(piece, USUAL_FACTORS).plan;

const FILLED = '<circle r="20" fill="#a33"/>';
const LINE = '<path d="M0 0H50" stroke="#a33" fill="none"/>';

function onCloth(kind: Piece['cloth']['kind'], body: string, change: Partial<Piece> = {}): Piece {
  return svgPiece(body, { cloth: { kind, colour: '#ffffff' }, ...change });
}
const behind = (piece: Piece): ReturnType<typeof behindCloth> => behindCloth(piece, planOf(piece));

describe('what lies behind the cloth', () => {
  it('is suggested for every cloth that would be drawn in, and for no other', () => {
    for (const cloth of CLOTHS) {
      const { stabiliser } = behind(onCloth(cloth.id, FILLED));
      expect(stabiliser.id !== 'none', cloth.id).toBe(isPulled(cloth));
    }
  });

  it('leaves again where only lines are stitched on a knit, and stays where it is filled', () => {
    expect(behind(onCloth('jersey', LINE)).stabiliser.leavesBy).toBe('water');
    expect(behind(onCloth('jersey', FILLED)).stabiliser.leavesBy).toBe('trimming');
  });

  it('is what was chosen, with its reason and how it is laid', () => {
    for (const stabiliser of STABILISER_IDS) {
      const found = behind(onCloth('fine-linen', FILLED, { stabiliser }));
      expect(found.stabiliser.id).toBe(stabiliser);
      expect(found.steps.length > 0).toBe(stabiliser !== 'none');
      expect(found.sizeMm === null).toBe(stabiliser === 'none');
      expect(found.reason).toMatch(/^Nothing/);
    }
  });

  it('is as large as the hoop asks for where it is tacked in, and lies 25 mm round the design where it is fused', () => {
    const hoop = plainHoop(150, 12);
    const tacked = behind(onCloth('fine-linen', FILLED, { hoop, stabiliser: 'woven' })).sizeMm!;
    expect(tacked[0]).toBe(hoopNeeds(hoop).clothAcrossMm);
    const fused = behind(onCloth('fine-linen', FILLED, { hoop, stabiliser: 'fusible' })).sizeMm!;
    expect(fused[0]).toBeCloseTo(40 + 50, 1);
  });

  it('makes each stitch take a little more thread: twice through it', () => {
    const piece = onCloth('fine-linen', LINE);
    const filled = {
      ...piece,
      drawing: {
        ...piece.drawing,
        parts: piece.drawing.parts.map((part) => ({ ...part, passes: [plainPass('back', 'stranded-cotton', 2)] })),
      },
    };
    const quantities = (stabiliser: Piece['stabiliser']): { stitches: number; threadMm: number } =>
      planOf({ ...filled, stabiliser }).parts[0]!.passes[0]!.quantities;
    const [bare, backed] = [quantities('none'), quantities('woven')];
    const eachMm = (backed.threadMm - bare.threadMm) / bare.stitches;
    expect(eachMm).toBeCloseTo(2 * 0.15 * 1.03, 1);
  });
});

describe('marks on a knit', () => {
  it('are better laid on than drawn', () => {
    const piece = onCloth('jersey', FILLED);
    const ways = rankWays(piece, planOf(piece));
    const score = (id: string): number => ways.find(({ mark }) => mark.id === id)!.score;
    expect(score('film')).toBeGreaterThan(score('water-pen'));
    // Film goes behind, too, unless something lies there already.
    const steps = (stabiliser: Piece['stabiliser']): string =>
      markingSteps({ ...piece, mark: 'film', stabiliser }, planOf(piece)).join(' ');
    expect(steps('none')).toMatch(/behind as well as on top/);
    expect(steps(null)).not.toMatch(/behind as well as on top/);
  });
});

describe('a scrap', () => {
  it('is marked by what shows on its own colour and comes out of it, whatever the cloth is marked by', () => {
    let [own, other] = [0, 0];
    for (const mark of MARKS) {
      for (const { id } of CLOTHS) {
        for (const hex of ['#f4efe0', '#20283c']) {
          const found = markOnScrap({ cloth: id, hex }, mark);
          expect(found.id).not.toBe('printed');
          if (found.id === mark.id) own++;
          else {
            expect(showsOn(found, clothOf(id), hex) || found.onDark).toBe(true);
            other++;
          }
        }
      }
    }
    expect(own).toBeGreaterThan(20);
    expect(other).toBeGreaterThan(20);
    expect(markOnScrap({ cloth: 'quilting-cotton', hex: '#20283c' }, markOf('pencil')).onDark).toBe(true);
  });

  it('is cut, marked, laid and held; what lies on it is not drawn on the cloth', () => {
    const piece = svgPiece(`<circle r="20" fill="#a33"/><path d="M-8 0H8" stroke="#eee"/>`);
    const [disc, line] = piece.drawing.parts;
    const laid = {
      ...piece,
      drawing: {
        ...piece.drawing,
        parts: [
          { ...disc!, scrap: plainScrap('#7a9a5a') },
          { ...line!, name: 'Bar' },
        ],
      },
    };
    const plan = planOf(laid);
    const { steps, caution } = layScrap(laid, plan, 0);
    expect(steps).toHaveLength(4);
    expect(steps[0]).toMatch(/5 mm larger/);
    expect(steps[1]).toContain('Bar');
    // A pin every 25 mm of its round.
    expect(steps[3]).toContain(`${Math.round((2 * Math.PI * 20) / 25)} pins`);
    expect(caution).toMatch(/Count/);
    expect(markingSteps(laid, plan).join(' ')).toMatch(/Don’t draw these yet.*Bar/);
    expect(() => layScrap(laid, plan, 1)).toThrow(RangeError);
  });
});
