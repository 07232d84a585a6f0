import { printerScale, TRUE_PRINTER, type PrinterScale } from '@junctura/core/paper';
import { computed, type ComputedRef } from 'vue';
import { useSettings } from './settings.ts';

/** What the person's printer makes of a length, as it was measured. */
export function usePrinter(): ComputedRef<PrinterScale> {
  const settings = useSettings();
  return computed(() => {
    const read = printerScale(settings.printer.acrossMm, settings.printer.downMm);
    return read.ok ? read.value : TRUE_PRINTER;
  });
}
