import ipaddr from 'ipaddr.js';

/** Bits of an IPv6 address that one household or server gets: everything behind them is theirs (RFC 6177). */
const HOUSEHOLD_BITS = 64;

/**
 * Returns what counts as one sender: an IPv4 address, or the first 64 bits of an IPv6 one.
 * @example networkOf('2001:db8:1:2:3::4') // '2001:db8:1:2::/64'
 */
export function networkOf(address: string): string {
  if (!ipaddr.isValid(address)) return address;
  const read = ipaddr.process(address);
  if (read.kind() === 'ipv4') return read.toString();
  const parts = (read as ipaddr.IPv6).parts.slice(0, HOUSEHOLD_BITS / 16).map((p) => p.toString(16));
  return `${parts.join(':')}::/${HOUSEHOLD_BITS}`;
}
