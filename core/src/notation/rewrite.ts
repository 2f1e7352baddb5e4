import type { Span } from '../base/span.ts';

/**
 * A text with others in some places of it.
 * @param places in the order they stand, none over another
 * @param written what stands in a place from now on; undefined leaves it
 */
export function withPlaces<Place extends Span>(
  source: string,
  places: readonly Place[],
  written: (place: Place) => string | undefined,
): string {
  let text = '';
  let done = 0;
  for (const place of places) {
    const word = written(place);
    if (word === undefined) continue;
    text += source.slice(done, place.start) + word;
    done = place.end;
  }
  return text + source.slice(done);
}
