import { quantity, say, type Message } from '@hervir/language/message';
/** What can hurt, by its code: one caution, one text, wherever it stands. */
export const CAUTION_WORDS = {
  'board-order': say('caution.vegetables-before-raw-meat-on'),
  'frozen-start': say('caution.frozen-meat-may-go-under'),
  'frozen-sear': say('caution.frozen-meat-spits-in-hot'),
  'marinade-raw': say('caution.a-marinade-that-held-raw'),
  'no-frying': say('caution.sear-with-the-lid-off'),
  'sugar-rub': say('caution.sugar-in-the-rub-burns'),
  'check-gasket': say('caution.look-at-gasket-valve-and'),
  'over-fill': say('caution.over-the-fill-line-food'),
  'under-minimum': say('caution.less-liquid-than-this-cookers'),
  'boils-dry': say('caution.the-liquid-runs-out-under'),
  'grain-dry': say('caution.grain-pulses-or-noodles-have'),
  'raw-waits': say('caution.raw-meat-is-not-left', {
    cold: quantity('temperature', 5),
    hot: quantity('temperature', 32),
  }),
  'raw-middle': say('caution.the-middle-of-the-meat', { safe: quantity('temperature', 63) }),
  'burn-likely': say('caution.the-base-is-likely-to'),
  blender: say('caution.hot-liquid-in-a-closed'),
  'chilli-fumes': say('caution.toasted-chillies-give-off-fumes'),
  'watch-burner': say('caution.a-pressure-pot-on-a'),
  'kidney-bean': say('caution.kidney-beans-are-poisonous-raw'),
  'lid-steam': say('caution.hands-and-face-away-from'),
  'quick-foams': say('caution.a-full-starchy-or-foaming'),
  'keep-warm': say('caution.keep-warm-is-switched-off', { heldHot: quantity('temperature', 60) }),
  'stopped-cook': say('caution.if-the-cook-is-stopped', { safe: quantity('temperature', 63) }),
  'bone-splinters': say('caution.look-for-splinters-of-bone'),
  'alcohol-stays': say('caution.wine-and-beer-do-not'),
  'cools-slowly': say('caution.so-deep-it-cools-too'),
  'warm-through': say('caution.to-74-c-in-the', { reheated: quantity('temperature', 74) }),
  cooling: say('caution.what-is-left-goes-into', { reheated: quantity('temperature', 74) }),
} as const satisfies Readonly<Record<string, Message>>;

/** Every caution there is. */
export type CautionCode = keyof typeof CAUTION_WORDS;
