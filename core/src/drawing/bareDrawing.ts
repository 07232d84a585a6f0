/** Whether a drawing comes from elsewhere: what was written here keeps its parts as they were. */
export function isBareDrawing(source: string): boolean {
  return !source.includes('data-junctura');
}
