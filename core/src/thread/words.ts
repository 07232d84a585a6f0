export const otherLotFrom = (part: string): string => `Use another dye lot from “${part}” on`;
