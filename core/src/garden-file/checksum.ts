import crc32 from 'crc-32';

/**
 * The checksum of a garden file: CRC-32 of its JSON as UTF-8, without white space and without the checksum itself. It tells of
 * damage on the way, and is no seal.
 *
 * @example
 * checksumOf({ format: 'rundel-garden' })
 * // => 'crc32:5ab6fd13'
 */
export function checksumOf(file: Readonly<Record<string, unknown>>): string {
  const { checksum: _, ...rest } = file;
  return `crc32:${(crc32.str(JSON.stringify(rest)) >>> 0).toString(16).padStart(8, '0')}`;
}
