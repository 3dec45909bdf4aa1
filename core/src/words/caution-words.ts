/** What can hurt, by its code: one caution, one text, wherever it stands. */
export const CAUTION_WORDS = {
  'board-order': 'Vegetables before raw meat on the board; wash hands, knife and board after the meat.',
  'frozen-start':
    'Frozen meat may go under pressure as it is. Never start it in a slow cooker, and do not thaw it on the counter.',
  'frozen-sear':
    'Frozen meat spits in hot fat and steams instead of browning: wipe the ice off, stand back, or leave the sear out.',
  'marinade-raw': 'A marinade that held raw meat is cooked with it or thrown away, never spooned on later as it is.',
  'no-frying': 'Sear with the lid off and little oil. Never deep-fry or pressure-fry in a pressure cooker.',
  'sugar-rub': 'Sugar in the rub burns on the base: sear in a pan and throw away what sticks.',
  'check-gasket':
    'Look at gasket, valve and pin before you lock the lid. Keep to the minimum liquid and the fill line of your cooker’s manual.',
  'over-fill':
    'Over the fill line: food can block the valve, and the pot spits when it opens. At most two thirds, half with what swells or foams. Do not lock the lid on it; your cooker’s manual comes first.',
  'under-minimum': 'Less liquid than this cooker’s minimum: it can boil dry before the pin rises. Pour more first.',
  'boils-dry':
    'The liquid runs out under this lid before the pin falls: what drinks in it takes it all. Pour more first, and never less than the cooker’s minimum.',
  'grain-dry':
    'Grain, pulses or noodles have less water than they drink: they stay hard, and raw pulses can make you ill. Pour what is missing.',
  'raw-waits':
    'Raw meat is not left in the pot or in a warm kitchen to wait: at most two hours above 5 °C in all, one where it is over 32 °C. Keep it in the fridge and begin by hand. Your local food-safety authority comes first.',
  'raw-middle':
    'The middle of the meat does not come to 63 °C in these minutes: it is raw there. Measure it at the check; lid back on until it is. Partly cooked meat is never put aside. Your local food-safety authority comes first.',
  'burn-likely':
    'The base is likely to burn as planned. If it does: power off, let the pin fall, open as the manual says, and never force the lid.',
  blender: 'Hot liquid in a closed blender blows its lid: fill it half at most, vent the lid, hold a cloth over it.',
  'chilli-fumes': 'Toasted chillies give off fumes: window open, face away, and wash your hands after.',
  'watch-burner': 'A pressure pot on a burner is not left alone.',
  'kidney-bean':
    'Kidney beans are poisonous raw: soak, throw the water away, boil hard 30 minutes (10 at the very least). Never slow-cook them from dry.',
  'lid-steam':
    'Hands and face away from the valve. Wait for the pin to fall, never force the lid, and tilt it away from you. Your cooker’s manual comes first.',
  'quick-foams':
    'A full, starchy or foaming pot spits when the valve is opened at once: let it down naturally for some minutes first.',
  'keep-warm':
    'Keep warm is switched off before the minutes end, or the pressure falls slowly and the meat cooks on. Food kept warm later is held at 60 °C or above.',
  'stopped-cook':
    'If the cook is stopped half-way, finish it now: partly cooked meat is never put aside. Whole cuts are safe from 63 °C in the middle and a 3 minute rest.',
  'bone-splinters': 'Look for splinters of bone before you pull the meat.',
  'alcohol-stays':
    'Wine and beer do not boil off entirely. For a table without alcohol take stock and a spoon of vinegar.',
  'cools-slowly':
    'So deep it cools too slowly to be kept: shallower containers, or longer in ice water. Your food authority comes first.',
  'warm-through':
    'To 74 °C in the middle, and only once. What has stood warm for two hours is not kept. Your food authority comes first.',
  cooling: 'What is left goes into shallow containers and the fridge within two hours; reheat it to 74 °C.',
} as const satisfies Readonly<Record<string, string>>;

/** Every caution there is. */
export type CautionCode = keyof typeof CAUTION_WORDS;
