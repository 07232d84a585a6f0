import { stitchKind } from '../stitches/index.ts';
import * as say from './words.ts';
import { strandText, type Proposal, type ProposalSettings } from './treatment.ts';

/** A proposal beside what another school would make of the same stitch. */
export interface Offer extends Proposal {
  /** What practitioners of another school would do, in words; null: the same. */
  readonly otherSchool: string | null;
}

/** Layers beside what works the part itself, as they are called in a sentence. */
const LAYERS = {
  padding: 'padding',
  edge: 'a firm edge',
  vein: 'a vein',
  outline: 'an outline',
  beside: 'a second line',
  accent: 'highlights',
  filling: null,
} as const;

/** What a proposal is, within a sentence: its stitch, strands and what lies under and over it. */
export function proposalInWords({ pass, layers }: Proposal): string {
  return say.suggestion(
    stitchKind(pass.stitch).inSentence,
    strandText(pass.strands),
    layers.flatMap(({ role }) => LAYERS[role] ?? []),
  );
}

interface School {
  readonly id: keyof typeof say.otherSchool;
  readonly change: Partial<ProposalSettings>;
}

/** The schools that differ from a person's own, those that are farthest from hers first. */
function otherSchools({ layers, strands, knots }: ProposalSettings): School[] {
  const plain: School = { id: 'plain', change: { layers: 'plain' } };
  const rich: School = { id: 'rich', change: { layers: 'rich' } };
  const fine: School = { id: 'fine', change: { strands: 'fine' } };
  const bold: School = { id: 'bold', change: { strands: 'bold' } };
  const other = knots === 'french' ? 'colonial' : 'french';
  return [
    ...(layers === 'plain' ? [rich] : layers === 'rich' ? [plain] : [rich, plain]),
    { id: other, change: { knots: other } },
    ...(strands === 'fine' ? [bold] : strands === 'bold' ? [fine] : [fine, bold]),
  ];
}

/**
 * Proposals each with the view of the first school that would do something else.
 * @param propose what is proposed under some settings, best first
 */
export function withOtherSchools(
  settings: ProposalSettings,
  propose: (settings: ProposalSettings) => readonly Proposal[],
): Offer[] {
  const schools = otherSchools(settings).map((school) => ({
    ...school,
    proposals: propose({ ...settings, ...school.change }),
  }));
  return propose(settings).map((offer, place): Offer => {
    const own = proposalInWords(offer);
    for (const { id, change, proposals } of schools) {
      // A knot of the other kind stands in the same place of the list; all else is known by its stitch.
      const theirs = change.knots ? proposals[place] : proposals.find(({ pass }) => pass.stitch === offer.pass.stitch);
      if (!theirs || (change.knots && place > 0)) continue;
      const words = proposalInWords(theirs);
      if (words !== own) return { ...offer, otherSchool: say.otherSchool[id](words) };
    }
    return { ...offer, otherSchool: null };
  });
}
