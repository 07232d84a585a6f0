import { hostname, networkInterfaces } from 'node:os';

/** The names of this machine for itself. */
const ITSELF = ['localhost', '127.0.0.1', '[::1]'] as const;

/**
 * Whether a request asks for this server by a name that it has: another would be a page elsewhere that had its own name point here.
 * @param isOpen whether other devices are let in: they know it by its addresses and by the name of the machine
 * @param more further names that were set
 */
export function knownHosts(isOpen: boolean, more: readonly string[] = []): (host: string) => boolean {
  const named = new Set<string>([...ITSELF, ...more.map((name) => name.toLowerCase())]);
  return (host) => {
    const name = host.toLowerCase().replace(/:\d+$/, '').replace(/\.$/, '');
    return named.has(name) || (isOpen && namesInNetwork().includes(name));
  };
}

/** Addresses change while the server runs, as when a machine goes from one network to another. */
function namesInNetwork(): string[] {
  const own = hostname().toLowerCase();
  const addresses = Object.values(networkInterfaces()).flatMap((all) => all ?? []);
  return [
    own,
    `${own}.local`,
    ...addresses.map(({ family, address }) => (family === 'IPv6' ? `[${address.toLowerCase()}]` : address)),
  ];
}
