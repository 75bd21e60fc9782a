interface Locked {
  readonly name?: string;
  readonly version?: string;
  readonly resolved?: string;
  readonly link?: boolean;
  readonly inBundle?: boolean;
}
interface Lock {
  readonly packages: Readonly<Record<string, Locked>>;
}

export function withAddresses(lock: Lock): Lock;
