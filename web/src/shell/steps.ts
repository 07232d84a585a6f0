/** The steps of the work, in the order in which people take them, like marks on a tape. */
export const STEPS = [
  { id: 'drawing', name: 'Drawing' },
  { id: 'hoop', name: 'Hoop' },
  { id: 'stitches', name: 'Stitches' },
  { id: 'colours', name: 'Colours' },
  { id: 'thread', name: 'Thread' },
  { id: 'transfer', name: 'Transfer' },
] as const;

export type StepId = (typeof STEPS)[number]['id'];

/** Where a finding is best looked at. */
export function stepOfFinding(id: string): StepId {
  if (['outside-hoop', 'near-ring', 'grain', 'warp', 'crushed'].includes(id)) return 'hoop';
  if (['not-read', 'all-hidden', 'line-too-close', 'part-too-small'].includes(id)) return 'drawing';
  if (['lost-in-cloth', 'too-alike', 'confusable', 'may-run'].includes(id)) return 'colours';
  if (id === 'runs-out' || id === 'lots-mixed') return 'thread';
  const ofTransfer = ['line-not-covered', "can't-trace", 'fades-first', 'heat-sets', 'water-spoils'];
  return ofTransfer.includes(id) ? 'transfer' : 'stitches';
}
