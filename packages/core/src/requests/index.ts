/** What a running page needs to ask services. */
export { type Answer, idleAnswer, type RemoteTable, type Source } from '../document/source.ts';
export { type Asked, Asker, type AskerHost } from './asker.ts';
export { browserWire } from './browser-wire.ts';
export { type Exchanged, exchange, type Wire } from './exchange.ts';
export { CannotAsk, outgoing } from './outgoing.ts';
export { RemoteRows, type RowAction } from './remote-rows.ts';
