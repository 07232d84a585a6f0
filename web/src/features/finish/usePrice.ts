import { formatMoney } from '@junctura/core/measure';
import { priceOf, type FinishPlan, type Price } from '@junctura/core/finish';
import { shadesOf } from '@junctura/core/piece';
import { shadeNeeds } from '@junctura/core/thread';
import { computed, type ComputedRef } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import { useShop } from '../../session/shop.ts';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';

/** What the open piece comes to, in the coin of the shop or the person's own. */
export function usePrice(plan: () => FinishPlan): {
  readonly price: ComputedRef<Price>;
  readonly coin: ComputedRef<string>;
  money(value: number): string;
} {
  const opened = useOpenedPiece();
  const settings = useSettings();
  const shop = useShop();
  const workings = useWorkings();
  const work = useWorkSoFar();
  void shop.ask();
  const coin = computed(() => shop.stock?.coin ?? settings.rate.coin);
  /** By the record where the piece is worked, by the plan where it is still to be. */
  const hours = computed(() => {
    const seconds = work.soFar && work.left ? work.soFar.seconds + work.left.seconds.p50 : 0;
    return seconds > 0 ? seconds / 3600 : workings.current!.plan.totals.hours.p50;
  });
  /** Of a colour that is gone there is no price: the finishing is worked out after the plan. */
  function colourPrice(id: string): number | null {
    const colour = workings.piece.palette.find((own) => own.id === id);
    return (colour && shop.threadOf(shadesOf(colour).first)?.price) ?? null;
  }
  const price = computed(() => {
    const { colours, spread } = workings.current!.plan;
    return priceOf(shadeNeeds(workings.piece, colours, spread, workings.memory), plan().materials, {
      skeinPrice: (shade) => shop.threadOf(shade)?.price ?? null,
      colourPrice,
      goodsPrice: (id) => shop.stock?.goods.find((goods) => goods.id === id)?.price ?? null,
      hours: hours.value,
      finishingHours: plan().seconds / 3600,
      perHour: settings.rate.perHour,
      ...opened.piece.finish.price,
    });
  });
  return { price, coin, money: (value) => formatMoney(value, coin.value) };
}
