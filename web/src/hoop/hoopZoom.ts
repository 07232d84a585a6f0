import { select } from 'd3-selection';
import { zoom, zoomIdentity, type D3ZoomEvent } from 'd3-zoom';
import { ZOOM, type Size, type View } from '../picture/view.ts';

/** A turn of the wheel enlarges by this power of two for each pixel that it scrolls. */
const PER_PIXEL = 0.0016 * Math.LOG2E;

/** What wheel and pinch do to a view. Presses and drags with one finger or the mouse are left to the hoop's own pointer. */
export interface HoopZoom {
  /** Tells it that the view was moved by something else. */
  follow(view: View, size: Size): void;
  stop(): void;
}

/**
 * Lets wheel and two fingers enlarge and move a view, about the place where they are.
 * @param changed hears of every new view
 */
export function startZoom(
  element: HTMLElement,
  now: () => { view: View; size: Size },
  changed: (view: View) => void,
): HoopZoom {
  const behaviour = zoom<HTMLElement, unknown>()
    .scaleExtent([ZOOM.min, ZOOM.max])
    .filter((event: WheelEvent | TouchEvent) =>
      event.type === 'wheel' ? true : 'touches' in event && event.touches.length > 1,
    )
    .wheelDelta((event: WheelEvent) => -event.deltaY * PER_PIXEL)
    .on('zoom', ({ transform, sourceEvent }: D3ZoomEvent<HTMLElement, unknown>) => {
      if (!sourceEvent) return;
      const { width, height } = now().size;
      const { k, x, y } = transform;
      changed({ pxPerMm: k, centreX: (width / 2 - x) / k, centreY: (height / 2 - y) / k });
    });
  const target = select(element).call(behaviour).on('dblclick.zoom', null);
  const follow = ({ centreX, centreY, pxPerMm }: View, { width, height }: Size): void => {
    const moved = zoomIdentity.translate(width / 2 - centreX * pxPerMm, height / 2 - centreY * pxPerMm).scale(pxPerMm);
    target.property('__zoom', moved);
  };
  follow(now().view, now().size);
  return { follow, stop: () => void target.on('.zoom', null) };
}
