/** A way back to what something has now. */
export function asItIs(own: object): () => void {
  const before = Object.getOwnPropertyDescriptors(own);
  return () => {
    for (const name of Reflect.ownKeys(own)) if (!(name in before)) Reflect.deleteProperty(own, name);
    Object.defineProperties(own, before);
  };
}
