/** A line in and out, whatever carries it. */
export interface LinePort {
  /** Says a line. What is said after the port has shut is lost. */
  readonly say: (line: string) => void;
  /** Hears each line once, from now on. */
  readonly onLine: (hear: (line: string) => void) => void;
  /** Is told once when the port has shut, by either side. */
  readonly onShut: (tell: () => void) => void;
  readonly shut: () => void;
}

/** Keeps who listens to a port, and tells of its shutting once. */
export function portEvents() {
  let hear: (line: string) => void = () => {};
  let tell: () => void = () => {};
  let isShut = false;
  return {
    line: (line: string) => {
      if (!isShut) hear(line);
    },
    shut: () => {
      if (isShut) return;
      isShut = true;
      tell();
    },
    onLine: (own: (line: string) => void) => void (hear = own),
    onShut: (own: () => void) => void (tell = own),
  };
}
