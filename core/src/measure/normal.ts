/** The share of a standard normal distribution that lies below. Source: M. Abramowitz and I. Stegun (1964), 26.2.17; good to 1e-7. */
export function normalShare(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const series = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const above = (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * series;
  return z >= 0 ? 1 - above : above;
}

/** The share that lies within a distance of the middle on either side. */
export function normalShareWithin(z: number): number {
  return 2 * normalShare(z) - 1;
}

/** The inverse of {@link normalShare}, by halving. */
export function normalQuantile(share: number): number {
  let [low, high] = [-8, 8];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (normalShare(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
