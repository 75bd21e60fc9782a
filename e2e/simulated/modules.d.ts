// A component and a file with an address, as far as a simulated page knows them: what they take is checked with the rest.
declare module '*.vue' {
  import type { Component } from 'vue';
  const component: Component;
  export default component;
}
declare module '*?url' {
  const address: string;
  export default address;
}

declare module '*/comlink.mjs' {
  /** A worker whose one kind of work counts. */
  export const wrap: (worker: object) => { count(hear: (i: number) => void): Promise<void> };
}
declare module '*/light.mjs' {
  export const LightMap: new () => Map<string, number>;
}
