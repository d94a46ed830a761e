import { BlockList, isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';

/** Addresses of home networks: RFC 1918, RFC 3927, RFC 4193 and RFC 4291. */
const home = new BlockList();
home.addSubnet('10.0.0.0', 8);
home.addSubnet('172.16.0.0', 12);
home.addSubnet('192.168.0.0', 16);
home.addSubnet('169.254.0.0', 16);
home.addSubnet('fc00::', 7, 'ipv6');
home.addSubnet('fe80::', 10, 'ipv6');

/**
 * Whether an address belongs to a home network, and so neither to this machine alone nor to the
 * world. An IPv4 address in IPv6 clothes is what it is.
 *
 * @example isHomeAddress('192.168.1.20') // true
 */
export function isHomeAddress(address: string): boolean {
  const plain = address.replace(/^::ffff:/i, '').replace(/%.*$/, '');
  const family = isIP(plain);
  return family !== 0 && home.check(plain, family === 4 ? 'ipv4' : 'ipv6');
}

/**
 * The addresses of this machine on which a home network can be let in.
 *
 * @param host what was asked for: every one, or one of them
 */
export function homeAddresses(host: string): string[] {
  const all = Object.values(networkInterfaces())
    .flatMap((some) => some ?? [])
    .filter(({ internal, family, address }) => {
      const linkOnly = family === 'IPv6' && address.startsWith('fe80');
      return !internal && !linkOnly && isHomeAddress(address);
    })
    .map(({ address }) => address);
  if (host === '0.0.0.0') return all.filter((address) => isIP(address) === 4);
  return host === '::' ? all : all.filter((address) => address === host);
}

/** The names by which a device of the network may call this machine. */
export function homeNames(addresses: readonly string[]): string[] {
  const own = hostname().toLowerCase();
  return [
    ...addresses.map((address) => (isIP(address) === 6 ? `[${address}]` : address)),
    ...[own, `${own.replace(/\.local$/, '')}.local`],
  ];
}
