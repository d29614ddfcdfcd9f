import { BlockList, isIPv4 } from 'node:net';
import type { NetworkInterfaceInfo } from 'node:os';

/**
 * Networks that are only ever one house's own (RFC 1918, RFC 3927), and this machine. The authority vouches for nothing
 * outside them, and nothing outside them is listened on.
 */
export const HOUSE_NETWORKS = [
  ['10.0.0.0', 8],
  ['172.16.0.0', 12],
  ['192.168.0.0', 16],
  ['169.254.0.0', 16],
  ['127.0.0.0', 8],
] as const;

const house = new BlockList();
for (const [network, bits] of HOUSE_NETWORKS) house.addSubnet(network, bits);

type Interfaces = Readonly<Record<string, NetworkInterfaceInfo[] | undefined>>;

/** This computer's addresses in the house's networks, as dotted decimals. */
export const houseAddresses = (interfaces: Interfaces): string[] => [
  ...new Set(
    Object.values(interfaces)
      .flatMap((each) => each ?? [])
      .filter(({ family, internal, address }) => family === 'IPv4' && !internal && house.check(address))
      .map(({ address }) => address),
  ),
];

/** Which addresses to answer on, or why none. */
export type Chosen =
  { readonly ok: true; readonly addresses: string[] } | { readonly ok: false; readonly because: string };

/**
 * Reads what was asked for: `house` for all of this computer's addresses in house networks, else addresses parted by
 * commas. An address that anyone outside the house could reach is refused.
 */
export function chosenAddresses(asked: string, interfaces: Interfaces): Chosen {
  if (asked === 'house') {
    const addresses = houseAddresses(interfaces);
    return addresses.length > 0
      ? { ok: true, addresses }
      : {
          ok: false,
          because:
            'This computer is in no house network: connect it to the router, by cable or Wi-Fi, and start again.',
        };
  }
  const addresses = [...new Set(asked.split(',').map((each) => each.trim()))];
  const odd = addresses.find((each) => !isIPv4(each) || !house.check(each));
  if (odd === undefined) return { ok: true, addresses };
  return {
    ok: false,
    because: isIPv4(odd)
      ? `${odd} can be reached from outside the house. Red Shelf is shared in the house only: --share takes addresses that begin with 192.168, 10, or 172.16 to 172.31.`
      : `“${odd}” is no address. --share alone takes all of this computer’s addresses in the house; or name one, such as --share=192.168.1.20.`,
  };
}
