import { describe, expect, test } from '@jest/globals';
import { base, GOOD, shop } from '../proof/proofFixture.ts';
import type { Cable, SignOff } from '../model/cable.ts';
import { workUpCable } from '../workup.ts';
import { tell } from '../words/message.ts';
import { sealRecord } from './record.ts';
import { makersOf, mayNotSign, signedOff } from './signOff.ts';

const TWO = { twoPeople: true };
const sign = (role: SignOff['role'], by: string, hour = 12): SignOff => ({
  ...{ role, by },
  at: `2026-11-20T${String(hour).padStart(2, '0')}:00:00.000Z`,
});
const made: Cable = {
  ...base,
  readings: GOOD,
  done: [{ step: 'cut', at: '2026-11-20T08:00:00.000Z', by: 'R. Alder' }],
};
const signedBy = (...signOffs: SignOff[]): Cable => ({ ...made, signOffs });

describe('maker and inspector', () => {
  test('both are needed where the shop wants them, and neither where it does not', () => {
    expect(signedOff(made, TWO).lacks.length).toBe(2);
    expect(signedOff(signedBy(sign('maker', 'R. Alder')), TWO).lacks.length).toBe(1);
    expect(signedOff(signedBy(sign('maker', 'R. Alder'), sign('inspector', 'M. Rowan')), TWO).lacks).toEqual(
      [],
    );
    expect(signedOff(made, {}).lacks).toEqual([]);
  });
  test.each(['R. Alder', ' r. alder '])(
    '%s, who made it, inspects nothing, whatever the file says',
    (name) => {
      expect(signedOff(signedBy(sign('maker', 'M. Rowan'), sign('inspector', name)), TWO).lacks.length).toBe(
        1,
      );
      expect(tell(mayNotSign('inspector', name, made))).toContain('somebody else inspects it');
      expect(mayNotSign('maker', name, made)).toBe('');
    },
  );
  test('who signed as maker does not inspect', () => {
    const cable = signedBy(sign('maker', 'M. Rowan'), sign('inspector', 'M. Rowan'));
    expect(signedOff(cable, TWO).lacks.length).toBe(1);
    expect(mayNotSign('inspector', 'M. Rowan', cable)).not.toBe('');
  });
  test('what is measured or made after a signature asks for it again', () => {
    const cable = signedBy(sign('maker', 'R. Alder', 9), sign('inspector', 'M. Rowan', 9));
    expect(signedOff(cable, TWO).lacks.length).toBe(2);
  });
  test('no name, no signature; everybody with a hand in it is a maker', () => {
    expect(mayNotSign('maker', '  ', made)).not.toBe('');
    expect(
      makersOf({
        ...made,
        reworks: [{ id: 'w', at: '2026-11-20T09:00:00.000Z', by: 'T. Elm', end: 'A', what: 'new lug' }],
      }),
    ).toEqual(['R. Alder', 'T. Elm']);
  });
  test('a record names them, and the interval of what was read', () => {
    const cable = signedBy(sign('maker', 'R. Alder'), sign('inspector', 'M. Rowan'));
    const record = sealRecord(cable, workUpCable(cable, shop), 'R. Alder', '2026-11-20T13:00:00.000Z');
    expect(record.signed?.map(({ by }) => by)).toEqual(['R. Alder', 'M. Rowan']);
    expect(record.tag).toBe(cable.tag);
    const flats = record.lines.find(({ title, end }) => tell(title) === 'Across flats' && end === 'A');
    expect(tell(flats?.value).replaceAll('\u2009', ' ')).toMatch(/^1[34]\.\d+ mm ± 0\.0\d+ mm$/);
  });
});
