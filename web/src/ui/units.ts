import type { UnitSystem } from '@junctura/core/measure';
import { inject, ref, type InjectionKey, type Ref } from 'vue';

/** The units that fields show lengths in: whoever puts the application together provides them. */
export const UNITS: InjectionKey<Readonly<Ref<UnitSystem>>> = Symbol('units');

export function useUnits(): Readonly<Ref<UnitSystem>> {
  return inject(UNITS, () => ref('metric' as const), true);
}
