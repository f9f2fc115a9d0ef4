import { parseNumber } from '@rundel/core/units';

/** A garden's name and latitude as typed ("51", "51,5° N", "33 S"), read: the values, or what is wrong beside each field. */
export function readPlace(
  name: string,
  latitude: string,
):
  | { readonly kind: 'read'; readonly gardenName: string; readonly latitudeDegrees: number }
  | { readonly kind: 'refused'; readonly problems: { readonly name?: string; readonly latitude?: string } } {
  const typed = parseNumber(latitude);
  const side = /^°?\s*([ns]?)$/i.exec(typed?.rest.trim() ?? '')?.[1]?.toLowerCase();
  const degrees = side === undefined ? NaN : (typed?.value ?? NaN) * (side === 's' ? -1 : 1);
  const isPlace = degrees >= -66 && degrees <= 66;
  const gardenName = name.trim();
  const isTooLong = gardenName.length > 60;
  if (gardenName !== '' && !isTooLong && isPlace)
    return { kind: 'read', gardenName, latitudeDegrees: degrees };
  return {
    kind: 'refused',
    problems: {
      ...(gardenName === '' ? { name: 'Give it a name, any name.' } : {}),
      ...(isTooLong ? { name: 'At most 60 letters; nothing is cut off unasked.' } : {}),
      ...(isPlace ? {} : { latitude: 'From 66 south to 66 north, as "51" or "33 S".' }),
    },
  };
}
