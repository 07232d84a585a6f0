import { watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSelection } from '../session/selection.ts';

/**
 * Back lets go of the parts that are picked before it leaves the piece: while any are picked, the address says so, one step further on in
 * the browser's history.
 */
export function useBackFromParts(): void {
  const [route, router, selection] = [useRoute(), useRouter(), useSelection()];
  const isSaid = (): boolean => route.query['picked'] !== undefined;

  watch(
    () => selection.picked.length > 0,
    (isPicked) => {
      if (isPicked && !isSaid()) void router.push({ query: { ...route.query, picked: '' } });
      // Let go of by hand: the step is taken back, so that Back then leaves at once.
      if (!isPicked && isSaid()) router.back();
    },
    { flush: 'post' },
  );
  watch(isSaid, (said) => {
    if (!said && selection.picked.length > 0) selection.pick([]);
  });
  // Opened at an address that says so: nothing is picked yet.
  if (isSaid() && selection.picked.length === 0) void router.replace({ query: {} });
}
