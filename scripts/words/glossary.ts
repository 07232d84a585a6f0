/** A word that a person is never shown, and what stands for it. */
interface Avoided {
  readonly word: RegExp;
  readonly say: string;
  /** Only in these files; everywhere where it is left out. */
  readonly in?: RegExp;
}

/**
 * The product has one word for one thing. Technical words of files (SVG, CSV, XML) and of the planner's options are left to the people who use them.
 */
export const AVOIDED: readonly Avoided[] = [
  { word: /\b(findings|the finding|a finding)\b/i, say: 'things to check' },
  { word: /\b(motif|artwork)s?\b/i, say: 'design, group' },
  { word: /\bneedle (loads?|threads?)\b/i, say: 'needleful, thread' },
  { word: /\bput-ups?\b/i, say: 'skein, ball' },
  { word: /\baccents?\b/i, say: 'highlights' },
  { word: /\b(pitch|pitches)\b/i, say: 'spacing' },
  { word: /\bspans?\b/i, say: 'stitch length, reaches', in: /^(web|core\/src\/(advice|propose|stitches))/ },
  { word: /\bstash\b/i, say: 'thread box' },
  { word: /\bway of marking\b|\bways to mark\b/i, say: 'transfer method' },
  { word: /\btold apart\b/i, say: 'easy to tell apart, distinct' },
  { word: /\bpropos(e|ed|es|al|als)\b/i, say: 'suggest' },
  { word: /\bearlier states?\b/i, say: 'earlier versions' },
  { word: /\bsessions?\b/i, say: 'sitting' },
  { word: /\bportions?\b/i, say: 'section, area' },
  { word: /\bout of true\b|\bwarp(?! weft)\b/i, say: 'out of round' },
  { word: /\blamp-light\b/i, say: 'lamplight' },
  {
    word: /\bin front and behind\b|\b(stitches|thread lies) behind\b(?! the)|\bfrom behind\b/i,
    say: 'on the front, on the back',
  },
  { word: /\btake (it )?back\b|\btaken back\b/i, say: 'undo' },
  { word: /\bdo again\b/i, say: 'redo' },
  { word: /\bkept in this browser\b/i, say: 'saved' },
  { word: /\bbring in\b|\bbrought in\b/i, say: 'import' },
  { word: /\blay in\b/i, say: 'add' },
  { word: /(?<!bare |grey )\bspot(s|ted)?\b(?!,)/i, say: 'dot', in: /^web|propose/ },
  { word: /\b(anew|nought|shall|by turns|half-way|thereof|whereof)\b/i, say: 'again, zero, will, in turn, halfway' },
  { word: /\breckon(s|ed|ing)?\b/i, say: 'count, work out, use' },
  { word: /\bwants? (a|to)\b|\bis wanted\b/i, say: 'needs' },
  { word: /\bby its (taste|way)\b|\bso much\b|\bso many (?!steps|strands)/i, say: 'name the amount' },
  { word: /\bis all right\b|\bmeant so\b/i, say: 'leave it as it is' },
  { word: /\bit is off\b/i, say: 'the hoop is off' },
  { word: /\bΔE\b|\bdeltaE\b/, say: 'difference' },
  { word: /(?<!such as )#[0-9a-f]{6}\b/i, say: 'the name of the colour' },
  { word: /\bundefined\b|\[object/i, say: 'nothing of the program' },
  {
    word: /\b(cannot|can't|don't|doesn't|isn't|won't)\b/,
    say: 'can’t, don’t, doesn’t with a curly apostrophe',
    in: /^(web|core)/,
  },
  { word: /(\d|x{5}) %/, say: '24%, without a space' },
  { word: /\bcolor\b|\bcenter\b|\bgray\b/i, say: 'colour, centre, grey', in: /^(web|core\/src\/(?!materials\/box))/ },
  { word: /Please (input|select)/i, say: 'what is to be typed' },
];
