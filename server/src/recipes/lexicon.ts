import { CUTS, type Form } from '@hervir/core';
import { namesIn } from './names';

/** What a food is taken for: a kind and an id of the catalog, or a word on what it is not. */
export type Entry =
  | `${'meat' | 'liquid' | 'addition' | 'thickener' | 'vegetable' | 'grain' | 'aromatic'}:${string}`
  | 'by-taste'
  | 'beside'
  | 'unknown';

/**
 * Foods by their names, British, American and Indian English: one row a food, its names apart by a bar, singular; the plural is
 * found too. Of several in a line the one that stands last is meant ("beef stock" is stock), a longer name before one in it
 * ("kidney bean" before "kidney"). Common practice.
 */
// prettier-ignore
export const FOODS: readonly (readonly [Entry, string])[] = [
  // Meat, by its butchers' names.
  ...CUTS.map(({ id, soldAs }) => [`meat:${id}`, namesIn('en-GB', soldAs)] as const),
  // What is poured.
  ['liquid:stock', 'stock|broth|bouillon|consomme|consommé|bone broth|beef stock|jus'],
  ['addition:bouillon', 'stock cube|bouillon cube|stock powder|bouillon powder|stock pot|bouillon granule|stock granule'],
  ['liquid:water', 'water'],
  ['liquid:red-wine', 'red wine|burgundy|merlot|cabernet|claret|shiraz'],
  ['liquid:white-wine', 'white wine|vermouth|wine|sherry|rice wine|shaoxing wine|shaoxing'],
  ['liquid:beer', 'beer|ale|stout|lager|porter|bitter'],
  ['liquid:cider', 'cider|hard cider|apple cider|apple juice'],
  ['liquid:vinegar', 'vinegar|cider vinegar|apple cider vinegar|wine vinegar|malt vinegar|rice vinegar'],
  ['liquid:balsamic', 'balsamic|balsamic vinegar'],
  ['liquid:thin-savoury-sauce', 'soy sauce|soya sauce|fish sauce|anchovy sauce|worcestershire|worcestershire sauce|worcester sauce|tamari|ponzu'],
  ['liquid:citrus-juice', 'lemon juice|lime juice|orange juice|juice of a lemon|juice of a lime|juice of an orange|lemon juiced'],
  ['liquid:chopped-tomato', 'chopped tomato|diced tomato|crushed tomato|tinned tomato|canned tomato|tin tomato|can tomato|stewed tomato|tomato pulp|polpa'],
  ['liquid:plum-tomato', 'plum tomato|whole peeled tomato|san marzano tomato|peeled tomato'],
  ['liquid:passata', 'passata|tomato sauce|sieved tomato|strained tomato|marinara|pomodoro sauce'],
  ['liquid:salsa-thin', 'salsa|salsa verde|enchilada sauce'],
  ['liquid:coconut-milk', 'coconut milk|coconut cream'],
  // What is thick, sweet, creamy.
  ['addition:tomato-paste', 'tomato paste|tomato puree|tomato purée|tomato concentrate'],
  ['addition:quince-paste', 'quince paste|fruit paste|membrillo|apricot jam|redcurrant jelly|marmalade'],
  ['addition:bottled-thick-sauce', 'barbecue sauce|bbq sauce|hoisin|hoisin sauce|oyster sauce|brown sauce|ketchup|tomato ketchup|teriyaki sauce|plum sauce'],
  ['addition:cream-soup', 'condensed soup|cream of mushroom soup|cream of chicken soup|cream of celery soup'],
  ['addition:soup-mix', 'onion soup mix|soup mix|dry onion soup|gravy mix|gravy powder|gravy granule'],
  ['addition:cream', 'cream|sour cream|creme fraiche|crème fraîche|double cream|heavy cream|whipping cream|single cream'],
  ['addition:sugar', 'sugar|brown sugar|muscovado|honey|molasses|maple syrup|treacle|golden syrup|palm sugar|jaggery|muscovado sugar|piloncillo|date syrup'],
  ['thickener:cornstarch', 'cornstarch|corn starch|cornflour|corn flour'],
  ['thickener:potato-starch', 'potato starch'],
  ['thickener:arrowroot', 'arrowroot|arrowroot powder'],
  ['thickener:tapioca', 'tapioca|tapioca starch|tapioca flour'],
  ['thickener:flour', 'flour|plain flour|all-purpose flour|all purpose flour|wheat flour'],
  // Vegetables.
  ['vegetable:sweet-potato', 'sweet potato|yam|kumara'],
  ['vegetable:potato-floury', 'floury potato|russet|russet potato|baking potato|mashing potato|maris piper|idaho potato'],
  ['vegetable:potato-waxy', 'potato|waxy potato|new potato|baby potato|red potato|small potato|yukon gold|desiree potato|charlotte potato|fingerling'],
  ['vegetable:carrot', 'carrot|baby carrot'],
  ['vegetable:parsnip', 'parsnip'],
  ['vegetable:turnip', 'turnip|navet'],
  ['vegetable:celeriac', 'celeriac|celery root'],
  ['vegetable:swede', 'swede|rutabaga'],
  ['vegetable:beetroot', 'beetroot|beet'],
  ['vegetable:squash', 'squash|butternut squash|butternut|pumpkin|kabocha'],
  ['vegetable:onion-small', 'pearl onion|baby onion|button onion|pickling onion|cipollini'],
  ['vegetable:savoy', 'savoy cabbage|savoy|kale|cavolo nero|collard|collard green|spring green'],
  ['vegetable:cabbage', 'cabbage|green cabbage|white cabbage|pointed cabbage'],
  ['vegetable:green-bean', 'green bean|runner bean|french bean|string bean'],
  ['vegetable:pea', 'pea|frozen pea|garden pea|petit pois|green pea'],
  ['vegetable:mushroom', 'mushroom|button mushroom|chestnut mushroom|cremini|portobello|shiitake'],
  ['vegetable:courgette', 'courgette|zucchini'],
  ['vegetable:cauliflower', 'cauliflower'],
  ['vegetable:broccoli', 'broccoli'],
  ['vegetable:brussels-sprout', 'brussels sprout|brussel sprout|sprout'],
  ['vegetable:fennel', 'fennel|fennel bulb'],
  ['vegetable:sweet-pepper', 'bell pepper|sweet pepper|red pepper|green pepper|yellow pepper|capsicum'],
  ['vegetable:tomato', 'tomato|cherry tomato|beef tomato|roma tomato|vine tomato'],
  ['vegetable:okra', 'okra|lady finger|bhindi'],
  ['vegetable:plantain-green', 'plantain|green plantain'],
  ['vegetable:plantain-ripe', 'ripe plantain|sweet plantain'],
  ['vegetable:cassava', 'cassava|yuca|manioc'],
  ['vegetable:olive', 'olive|black olive|green olive|kalamata|kalamata olive'],
  ['vegetable:caper', 'caper'],
  ['vegetable:bean-tinned', 'canned bean|tinned bean|can bean|tin bean|baked bean'],
  // Grain, pulses, noodles.
  ['grain:rice-brown', 'brown rice'],
  ['grain:rice-white', 'rice|white rice|long-grain rice|basmati|basmati rice|jasmine rice'],
  ['grain:barley-pearl', 'barley|pearl barley'],
  ['grain:spelt-pearled', 'spelt|farro'],
  ['grain:freekeh', 'freekeh'],
  ['grain:kidney-bean-soaked', 'kidney bean|red kidney bean|rajma'],
  ['grain:chickpea-soaked', 'chickpea|garbanzo|garbanzo bean|chana'],
  ['grain:bean-dry-unsoaked', 'bean|dried bean|haricot bean|white bean|pinto bean|navy bean|black bean|cannellini bean|butter bean|borlotti bean'],
  ['grain:lentil-brown', 'lentil|brown lentil|green lentil|puy lentil'],
  ['grain:split-pea', 'split pea|dried pea|yellow split pea'],
  ['grain:egg-noodle', 'egg noodle|noodle'],
  // For the sauté, or laid in for their flavour.
  ['aromatic:onion', 'onion|yellow onion|white onion|red onion|brown onion|onion powder'],
  ['aromatic:spring-onion', 'spring onion|scallion|green onion|salad onion'],
  ['aromatic:shallot', 'shallot|eschalot|banana shallot'],
  ['aromatic:leek', 'leek'],
  ['aromatic:celery', 'celery|celery stick|celery stalk|celery rib'],
  ['aromatic:garlic', 'garlic|garlic clove|clove garlic|garlic bulb|bulb garlic'],
  ['aromatic:garlic-head', 'head of garlic|garlic head|head garlic|whole garlic'],
  ['aromatic:ginger', 'ginger|ginger root|root ginger'],
  ['aromatic:chilli', 'chilli|chili|chile|chilli pepper|chili pepper|jalapeño|jalapeno|serrano|bird eye chilli|scotch bonnet|habanero|chipotle|chipotle pepper|cayenne chilli'],
  ['aromatic:dried-chilli', 'dried chilli|dried chili|dried chile|guajillo|guajillo chile|ancho|ancho chile|pasilla|kashmiri chilli'],
  ['aromatic:spice', 'paprika|smoked paprika|sweet paprika|cumin|ground cumin|coriander seed|ground coriander|curry powder|turmeric|cinnamon|cinnamon stick|allspice|chili powder|chilli powder|garam masala|ras el hanout|five spice|cayenne|cayenne pepper|garlic powder|nutmeg|mace|fenugreek|cardamom|cardamom pod|mustard seed|fennel seed|cumin seed|berbere|curry paste|massaman curry paste|chilli flake|chili flake|red pepper flake|pepper flake|saffron'],
  ['aromatic:caraway', 'caraway|caraway seed'],
  ['aromatic:bay', 'bay|bay leaf|bay leave'],
  ['aromatic:thyme', 'thyme|thyme sprig'],
  ['aromatic:rosemary', 'rosemary|rosemary sprig'],
  ['aromatic:sage', 'sage|sage leaf'],
  ['aromatic:mint', 'mint|mint leaf'],
  ['aromatic:lemon-grass', 'lemongrass|lemon grass'],
  ['aromatic:dried-herbs', 'oregano|marjoram|dried oregano|dried thyme|dried rosemary|mixed herb|dried herb|herbes de provence|italian seasoning|italian herb|dried mint'],
  ['aromatic:whole-spice', 'clove|whole clove|peppercorn|star anise|juniper|juniper berry|pickling spice|allspice berry|pimento berry'],
  ['aromatic:peel', 'orange peel|lemon peel|orange zest|lemon zest|lime zest|citrus peel|zest|peel'],
  ['aromatic:bacon', 'bacon|lardon|pancetta|streaky bacon|speck|guanciale'],
  ['aromatic:bones', 'marrow bone|beef bone|soup bone|pork bone|knuckle bone|bone'],
  // Left to the cook.
  ['by-taste', 'salt|kosher salt|sea salt|pepper|black pepper|white pepper|salt and pepper|seasoning|oil|olive oil|vegetable oil|sunflower oil|rapeseed oil|canola oil|sesame oil|coconut oil|butter|lard|dripping|ghee|goose fat|duck fat|shortening|cooking spray|parsley|parsley leaf|chive|cilantro|coriander|coriander leaf|basil|basil leaf|dill|tarragon|chervil|bicarbonate|baking soda|msg|ice'],
  // Not the pot's.
  ['beside', 'cheese|goat\'s cheese|goat cheese|cheddar|provolone|parmesan|mozzarella|feta|roll|bun|bread|baguette|tortilla|flour tortilla|breadcrumb|bread crumb|pappardelle|pasta|spaghetti|mash|polenta|couscous|salad|lettuce|lamb\'s lettuce|yoghurt|yogurt|natural yoghurt|gremolata|radish|lime wedge|lemon wedge|dumpling|pickle|slaw|coleslaw|chip|fries'],
  // Known, and not in the tables: said to be so.
  ['unknown', 'sausage|chorizo|mince|ground beef|ground pork|ground lamb|minced beef|anchovy|anchovy fillet|prune|raisin|sultana|apricot|dried apricot|fig|date|apple|pear|quince|orange|lemon|lime|preserved lemon|almond|peanut|walnut|chestnut|water chestnut|sauerkraut|hominy|aubergine|eggplant|artichoke|spinach|chard|asparagus|sweetcorn|corn|sun-dried tomato|sugar snap pea|snow pea|mangetout|mustard|dijon mustard|wholegrain mustard|horseradish|calvados|brandy|cognac|port|rum|whisky|bourbon|cola|ginger ale|ginger beer|cream of tartar|miso|tahini|peanut butter|chocolate|cocoa|coffee|milk|buttermilk|coconut|egg|parmesan rind|kidney|liver|tripe|heart|veal|chicken|duck|rabbit|turkey|venison|fish|prawn|mussel'],
];

/** How meat is cut, by the words for it; the first that the cut comes in. Common practice. */
export const FORM_WORDS: readonly (readonly [RegExp, Form])[] = [
  [
    /bite[- ]size|\b[12](?:\.\d+)? ?cm\b|\b1(?:\.\d+)?[- ]?(?:inch|in\b|")|small (?:cubes|pieces|chunks|dice)|finely diced/,
    'bite-size',
  ],
  [/\bcross-?cut|\bslic(?:e|es|ed)\b|\bsteaks?\b/, 'slices'],
  [
    /chunk|cubes?\b|cubed|\bdiced?\b|large pieces|cut (?:in|into)|stew(?:ing)?\b|\b[3-9] ?cm\b|\d(?:\.\d)?[- ]?(?:inch|")/,
    'chunks',
  ],
  [/\brack/, 'rack'],
  [/\bribs?\b/, 'ribs'],
  [/\bpieces\b/, 'pieces'],
  [/whole|roast|joint|one piece|tied|shanks?\b|hocks?\b/, 'whole'],
];
