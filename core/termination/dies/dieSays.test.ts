import { expect, test } from '@jest/globals';
import { genericShop } from '../../model/catalogue/genericShop.ts';
import { tell } from '../../words/message.ts';
import { dieMap } from './dieMap.ts';
import { dieOffer, isUsable } from './dieOffers.ts';
import { dieAnswer } from './dieSays.ts';
import { openCase } from './toolCase.ts';

test('every cell of the map is answered with yes or no, and never better than what is known', () => {
  const shop = genericShop();
  const toolCase = openCase(shop);
  const map = dieMap(toolCase, shop.practice);
  const kinds = new Set<string>();
  for (const row of map.rows)
    for (const column of map.columns) {
      const offer = dieOffer(row.lug, row.copperMm2, column, toolCase.lugs);
      const said = tell(dieAnswer(offer));
      expect(said).toMatch(/^(Yes|No|Only|Not known)\b.*\w\.$/);
      if (said.startsWith('Yes')) expect([offer.verdict, isUsable(offer)]).toEqual(['right', true]);
      if (said === 'Yes: use this die.') expect(offer.sure).toBe(true);
      kinds.add(said);
    }
  expect(kinds.size).toBeGreaterThan(4);
});
