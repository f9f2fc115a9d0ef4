/** A garden's name and latitude as typed, read: the values, or what is wrong beside each field. */
export function readPlace(
  name: string,
  latitude: string,
):
  | { readonly kind: 'read'; readonly gardenName: string; readonly latitudeDegrees: number }
  | { readonly kind: 'refused'; readonly problems: { readonly name?: string; readonly latitude?: string } } {
  const degrees = Number(latitude.replace(',', '.'));
  const isPlace = latitude.trim() !== '' && degrees >= -66 && degrees <= 66;
  const gardenName = name.trim().slice(0, 60);
  if (gardenName !== '' && isPlace) return { kind: 'read', gardenName, latitudeDegrees: degrees };
  return {
    kind: 'refused',
    problems: {
      ...(gardenName === '' ? { name: 'Give it a name, any name.' } : {}),
      ...(isPlace ? {} : { latitude: 'A number from -66 to 66; south is negative.' }),
    },
  };
}
