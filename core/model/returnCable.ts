import type { Cable } from './cable.ts';
import type { Job } from './job.ts';
import { duplicateCable } from './newCable.ts';
import { LONGEST_NAME } from './text.ts';

/** Where the other pole of a place is: "Battery +" is beside "Battery −". @example otherPole('Thruster +') // "Thruster −" */
export const otherPole = (at: string): string =>
  at.replace(/[+−–-](?=\s*$)/u, (sign) => (sign === '+' ? '−' : '+'));

const TURNED = { positive: 'negative', negative: 'positive', link: 'link' } as const;
/** The jacket of the other pole: yellow and black both go with the negative, red with the positive. */
const JACKET_OF = { positive: 'red', negative: 'black' } as const;

/** The circuit that a cable and its return are: the one it is in, or one named after what it feeds. */
const circuitOf = ({ run, tag, ends }: Cable): string =>
  run.return.kind === 'circuit'
    ? run.return.name
    : (ends.B.at.replace(/\s*[+−–-]\s*$/u, '') || tag).slice(0, LONGEST_NAME);

/**
 * A cable and the one that brings its current back: pole and jacket turned, from its far end to its near one, in one
 * circuit that shares the voltage drop. The return has no fuse and no device: they stand in the positive. The cable
 * itself counts its return from now on as the other cable, of the length that it was given.
 */
export function withReturn(
  cable: Cable,
  id: string,
  job: Job,
): { readonly out: Cable; readonly back: Cable } {
  const circuit = { kind: 'circuit', name: circuitOf(cable) } as const;
  const lengthMm = cable.run.return.kind === 'cable' ? cable.run.return.lengthMm : cable.run.lengthMm;
  const { way: _way, fromSystem: _from, ...run } = cable.run;
  const copy = duplicateCable(cable, id, job);
  const polarity = TURNED[cable.polarity];
  const end = ({ on: _on, ...spec }: Cable['ends']['A']) => ({ ...spec, at: otherPole(spec.at) });
  return {
    out: { ...cable, run: { ...cable.run, return: circuit } },
    back: {
      ...copy,
      polarity,
      jacket: polarity === 'link' ? copy.jacket : JACKET_OF[polarity],
      ends: { A: end(cable.ends.B), B: end(cable.ends.A) },
      joins: [],
      run: {
        ...run,
        lengthMm,
        loopMm: cable.run.return.kind === 'cable' ? 0 : run.loopMm,
        return: circuit,
        fuses: [],
        devices: [],
      },
    },
  };
}
