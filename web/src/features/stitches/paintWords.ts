import type { PictureFault, PictureJudgement } from '@junctura/core/painting';

const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** What speaks against a picture, and what to do about it. */
export function faultInWords(fault: PictureFault): string {
  switch (fault.id) {
    case 'coarse':
      return `It has ${fault.pxPerMm.toFixed(1)} dots to a millimetre at this size, and a strand can show ${fault.wantedPxPerMm.toFixed(1)}: take a larger picture, or a smaller hoop.`;
    case 'blurred':
      return `Its sharpest edges are ${fault.edgeMm.toFixed(1)} mm wide in thread: take a sharper picture, above all of the eyes.`;
    case 'dark':
      return `${percent(fault.share)} of it is too dark to tell anything: take it in better light, or lighten it first.`;
    case 'bright':
      return `${percent(fault.share)} of it is burnt out to white: take it in softer light.`;
    case 'out-of-reach':
      return `No thread comes near ${percent(fault.share)} of its colours, such as this one: they will come out duller.`;
    case 'cast':
      return 'Its lights are tinted, as under a lamp: balance its white by a grey spot before you bring it in.';
    case 'beside':
      return `${percent(fault.share)} of the part’s box lies beside the picture: there the colours of its edge go on.`;
    case 'plain':
      return 'It is one colour all over: there is nothing to paint.';
  }
}

/** What the smallest thing in it comes to. */
export function detailInWords({ detailMm, detailPx }: PictureJudgement): string {
  return `What is smaller than ${detailMm.toFixed(1)} mm (${Math.round(detailPx)} dots of the picture) is finer than three strands.`;
}
