import { plural } from '@junctura/core/measure';

/** @param address of this machine in the network; null: none is known */
export const howToReceive = (address: string | null, minutes: number): string =>
  address === null
    ? `Point the other device’s camera at the code, or type the code there. It works once, within ${plural(minutes, 'minute')}.`
    : `Point the other device’s camera at the code, or open ${address}/take there and type the code. It works once, within ${plural(minutes, 'minute')}.`;
