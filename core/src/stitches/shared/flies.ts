/** How far down the vein one V lies below the last, so that their arms are neighbours: spacing / sin(angle), mm. */
export function flyAdvanceMm(spacingMm: number, angleDeg: number): number {
  return spacingMm / Math.sin((angleDeg * Math.PI) / 180);
}
