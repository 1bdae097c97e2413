/** What lets a control fit beside others: for all checks of something that is too wide. */

import { propertiesOf } from '../../cascade/cascade.ts';
import { plainArrangement } from '../../cascade/plain-values.ts';
import { kindOf } from '../../kinds/catalogue.ts';
import { wrap } from '../../kinds/properties.ts';
import type { Mending } from './check-kind.ts';

export function fitAcross({ control, parent, self, outer, own, add }: Mending): void {
  if (own('width') !== undefined)
    add(`Let ${self} be at most as wide as ${outer}`, [control, 'max-width', '100%']);
  if (own('min-width') !== undefined) add(`Take the least width from ${self}`, [control, 'min-width', null]);
  if (own('nowrap') === 'true') add(`Let the words of ${self} break`, [control, 'nowrap', null]);
  if (plainArrangement(parent) === 'row' && propertiesOf(kindOf(parent)).has(wrap.name))
    add(`Let ${outer} go on in another line`, [parent, 'wrap', 'true']);
  if (own('width') !== undefined) add(`Let ${self} be as wide as it needs`, [control, 'width', null]);
}
