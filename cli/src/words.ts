export const noPicture = (file: string): string => `picture not found: ${file}`;

export const badPicture = (name: string): string => `can’t read the picture ${name}: use PNG, JPEG or WebP`;

export const tooManyMegapixels = (name: string, most: number): string => `${name} has more than ${most} megapixels`;

export const cannotWrite = (file: string, code: string): string => `can’t write ${file} (${code})`;

export const tooLarge = (metres: number): string =>
  `The drawing is larger than ${metres} m at this size; make it smaller with --fit or --scale, or look for a stray point in it.`;

export const fileTooLarge = (file: string, megabytes: number, most: number): string =>
  `${file} is too large: ${megabytes} MB; up to ${most} MB can be read`;

export const notFound = (file: string): string => `file not found: ${file}`;

export const cannotRead = (file: string, code: string): string => `can’t read ${file} (${code})`;

export const notARecord = (file: string, at: string, why: string): string =>
  `${file} is not a list of record entries: ${at}: ${why}`;

export const notJson = (file: string): string => `${file} is not valid JSON`;

export const noThreads = (file: string): string => `${file} has no threads in it`;

export const noFile = (usage: string): string => `no file given; usage: ${usage}`;

export const oneFile = (others: readonly string[], file: string): string =>
  `only one file at a time: got '${others.join("', '")}' as well as '${file}'`;

export const numberRange = (option: string, least: number, most: number, unit: string, given: string): string =>
  `${option} takes a number from ${least} to ${most} (${unit}), got '${given}'`;

export const wholeNumber = (option: string, given: string): string => `${option} takes a whole number, got '${given}'`;

export const oneOf = (option: string, choices: readonly string[], given: string): string =>
  `${option} must be one of ${choices.join(', ')}, got '${given}'`;

export const badParam = (given: string): string => `--param takes key=value, got '${given}'`;

export const noSuchArea = (part: string): string => `the drawing has no area called '${part}' to paint`;
