/** Injection token: addresses at which the house may come in, filled once the server listens; empty without --lan. */
export const LAN_ADDRESSES = Symbol('lan addresses');
