import type { StepMachine, StepWork } from '../document/kinds';
import { ASSEMBLED, BUILT_IN, goesInHot, goesOver, toSyrup, type Clause } from './clauses';
import { BAKES_ON, IN_AN_OVEN, temperaturesIn } from './degrees';
import { timesIn, type SaidTime } from './times';

/** What is in the bowl that a clause works on, as far as the verb asks. */
export interface WorkedOn {
  readonly cream: boolean;
  readonly white: boolean;
  readonly yolk: boolean;
  readonly butter: boolean;
  readonly cheese: boolean;
  readonly gelatin: boolean;
  readonly setter: boolean;
  readonly chocolate: boolean;
  /** Whether something has been built already: what is strewn then is finish. */
  readonly built: boolean;
  /** Whether it has been cold since it was built. */
  readonly chilled: boolean;
  /** Whether the oven was spoken of last. */
  readonly baking: boolean;
  /** Said to be done when it is served. */
  readonly late: boolean;
}

const PEAK =
  /\bpeaks?\b|\bfirm\b|\bstiff|\bfluffy\b|\bpale\b|\bribbon|\bdoubled?\b|\btripled?\b|\bfroth|\bfoam|\bbillow|\bholds? (?:its|their) shape|\bfloppy\b|\bthick and (?:light|pale|creamy)|\blight and|\bglossy\b|\baerated\b|\bin volume\b|\btrail|\bclings?\b/i;
export const HOT =
  /\bover (?:a |the )?(?:pan|pot|saucepan|bowl)?.{0,30}(?:simmering|boiling|hot|barely|steaming|steam)|\bdouble boiler|\bbain[- ]?marie|\bover (?:a |an )?(?:very )?(?:low|medium|high|gentle|direct|moderate)?[- ]?(?:low|medium|high)?\s*heat\b|\bon the (?:hob|stove|heat)\b|\bover steam\b|\bheat\b(?! off)|\bsimmering water|\b(?:slow|gentle|clear|soft|brisk) fire\b|\bover (?:a|the) fire\b/i;
const COLD_PLACE = /\b(?:fridge|refrigerator|refrigerate|chiller|ice[- ]?box|cold room|cold larder|into the cold|in the cold|cold place|cool place|cellar)\b/i;
const FREEZER = /\bfreez(?:er|e)\b/i;
const OVEN = /\bovens?\b/i;
const ROOM = /\broom[- ]temp(?:erature)?|\bat room\b|\bcounter\b|\bworktop\b|\bon the bench\b/i;
const MIXER =
  /\bmixer\b|\bbeaters?\b|\belectric\b|\bpaddle\b|\bwhisk attachment|\bwhipping attachment|\bhigh speed|\blow speed|\bmedium speed|\bmedium-high|\bmedium-low|\bspeed\b|\bprocessor\b|\bblender\b|\bon (?:high|low|medium)\b|\bmachine\b/i;
const BY_HAND =
  /\bby hand\b|\bballoon whisk|\bhand whisk|\bwith a (?:fork|spoon|spatula|wooden|whisk|rubber|silicone|large metal|metal)|\bspatula\b|\bwooden spoon\b|\bmetal spoon\b|\bfork\b/i;
const VESSEL_TO_MIX =
  /\b(?:in|into|to) (?:a|an|the|another|one|your|separate|that|this)\b[^,.;]{0,36}\b(?:bowl|saucepan|pan|pot|jug|mixer|processor|blender|saucer|cup|measuring jug|(?<!pudding )basin)\b/i;
const SERVED_IN =
  /\b(?:glass(?:es)?|dish|tin|tray|springform|ring|mou?lds?|terrine|ramekins?|cups?|pots?|tumblers?|platter|plate|shells?|case|crust|base|loaf|coupes?|jars?|verrines?|trifle bowl|serving bowl|cake stand|lined|nests?|piping bag|(?<!\b(?:food|freezer|plastic|sandwich|zip\w*|polythene|resealable)[- ])bag|(?:freezer|lidded|plastic|airtight)[\w-]* (?:container|box|tub)|containers?|tubs?)\b/i;

/** 'In another bowl the whites with a pinch of salt, stiff': what is whipped, and how far. */
export const FOAM_NAMED =
  /^(?:and |then )?(?:in (?:a|another)[^,.;]{0,20}\bbowl,? )?(?:the |your |my )?(?:egg )?(?:whites|cream)\b(?:[^.;]{0,40},| to)\s*(?:(?:whipped|whisked|beaten|to|until|till|very|just) )*(?:stiff|soft|firm|medium|med)\b/i;

/** Layers that are told without a verb: 'half the cream', '2nd layer of fingers', 'rest of the cream'. */
export const LAYING =
  /^(?:then |and |now )*(?:(?:half|a third|a quarter|two thirds) (?:of )?(?:the )?(?!an?\b)\p{L}|(?:the )?(?:rest|remainder) of (?:the )?\p{L}|(?:another|a second|second|2nd|third|3rd|next|last|final) layer\b)/iu;
export const BEFORE_SERVING =
  /\b(?:as|when) (?:you (?:send|serve|bring|take)|(?:it|they) goe?s?) (?:(?:it|them) )?(?:up|out|in|to (?:the )?table)\b|\bbefore (?:you |we )?(?:serv(?:e|ing)|eat(?:ing)?|dish(?:ing)? up|cut(?:ting)? it)\b|\bbefore (?:it|they) (?:goes?|is|are) (?:out|served|sent)\b|\bat the last (?:minute|moment)\b|\b(?:to|on|when) serv(?:e|ing)\b/i;
/** 'Put in half the mixture, then the fruit': into the mould that is lined. */
const PUT_IN_HALF = /^(?:then |and |now )*put in (?:half|some|a third|a quarter|most|the rest)\b/i;

/** 'Letting the sugar run in'. */
const LET_RUN_IN = /\blet(?:ting)? [^.;]{2,50} (?:trickle|run|rain|stream|flow|drizzle|dribble) (?:slowly |gradually )?in(?:to)?\b/i;
/** Said of a machine that runs while something is added. */
export const WHILE_RUNNING =
  /\bon med\b|\b(?:mixer|machine|motor|beaters?|whisk|paddle)\b[^.;,]{0,12}\brunning\b|\b(?:while|whilst) (?:still )?(?:beating|whisking|whipping)\b|\b(?:beating|whisking|whipping) (?:all the (?:time|while)|constantly|continuously|well|as you)\b|\bspeed\b|^(?:\w+,? )?on (?:low|medium|high)\b/i;

/** 'Crushed with the butter and pressed in a tin'. */
const PRESSED_TOLD = /\b(?:crushed|crumbled|bashed|mixed|blitzed)\b[^.;]*\bpressed (?:\w+ )?(?:in|into|onto)\b/i;
const LAYERS_TOLD = /\b(?:a|another|one) layer of\b[^.;]*\b(?:a|another|one) layer of\b/i;

/** 'Cream / fingers / cream': what lies on what. */
export const BY_BARS = /^\s*[\p{L}][\p{L} '’-]{2,24}(?:\s+\/\s+[\p{L}][\p{L} '’-]{2,24}){2,}\W*$/u;
/** '24 in the dish, half the cream, 24 more, rest of the cream': layers in their turn, without a verb. */
export const IN_TURN =
  /^[^.;]{0,40}\b(?:in|into|on|onto) (?:the|an?|your) (?:dish|tin|tray|bowl|glasses|ring|mou?ld|terrine|pan|bottom|base|board|plate)[,:][^.;]*\b(?:half|a third|a quarter|most)(?: of)? (?:the |your )?\p{L}+,[^.;]*\b(?:rest|remainder|last) of\b/iu;
/** What a clause does. */
export function workOf(c: Clause, on: WorkedOn, written = c.text): StepWork {
  // 'Let the sugar trickle in': while it is whisked.
  if (LET_RUN_IN.test(written)) return on.white || on.cream || on.yolk ? 'whisk' : on.butter || on.cheese ? 'beat' : 'hands';
  // 'A layer of wafers, a layer of bananas, a layer of pudding.'
  if (LAYERS_TOLD.test(written) || PRESSED_TOLD.test(written) || BY_BARS.test(written) || (c.verb === null && IN_TURN.test(written)) || ASSEMBLED.test(written))
    return 'fill';
  // 'It goes into a hundred and fifty': only an oven is so hot.
  if (goesInHot(written)) return 'bake';
  // 'Off the heat' is no heat.
  const text = written.replace(/\b(?:off|away from|from|without) (?:the )?(?:heat|hob|stove|fire)\b/gi, ' ');
  const verb = c.verb?.base ?? '';
  const said = c.words
    .slice(Math.max(0, c.at))
    .map((w) => w.said)
    .join(' ');
  const air = PEAK.test(text);
  const foams = on.cream || on.white || on.yolk;
  switch (verb) {
    case '':
      return workWithoutVerb(text, on);
    case 'soften':
      // 'Soften 10 minutes in the fridge': nobody stirs.
      if (on.gelatin && !on.cream && !on.butter && !on.cheese) return 'soak';
      return /\b(?:fridge|freezer|room|counter|worktop|side)\b/i.test(text) || (on.built && !on.butter && !on.cheese) ? 'wait' : 'beat';
    case 'whip':
    case 'rewhip':
    case 'froth':
    case 'aerate':
      return HOT.test(text) && !on.cream ? 'heat' : on.cheese && !on.cream && !foams && !air ? 'beat' : 'whisk';
    case 'whisk':
      if (HOT.test(text) || (/\breach|\buntil (?:it|they) (?:is|are)? ?(?:hot|warm)/i.test(text) && /°|\b\d{2,3} ?[CF]\b/.test(text))) return 'heat';
      // 'Whisk in the sugar a spoonful at a time': into whites it goes with air.
      if (/^whisk in\b/.test(said) && on.white && !on.butter && !/\b(?:flour|cocoa|corn ?starch|cornflour)\b/i.test(text)) return 'whisk';
      if (/^whisk (?:in|the (?:dry|flour|cornstarch|cornflour|custard powder|cocoa))/.test(said) && !air) return 'hands';
      if (on.chocolate && !on.white && !on.yolk && !/\bpeaks?\b|\bfluffy\b|\blight\b|\bpale\b|\bwhipped\b/i.test(text)) return 'hands';
      return air
        ? 'whisk'
        : on.white || on.cream
          ? 'whisk'
          : on.yolk
            ? /\b(?:until|till|thick)\b|\bmin/i.test(text) || MIXER.test(text)
              ? 'whisk'
              : 'hands'
            : on.cheese || on.butter
              ? 'beat'
              : 'hands';
    case 'beat':
    case 'blend':
      if (HOT.test(text)) return 'heat';
      if (/^beat in\b/.test(said) && !air) return on.white && !on.butter ? 'whisk' : 'beat';
      // A ganache is blended smooth, without air.
      if (verb === 'blend' && !air && !on.white) return 'beat';
      if ((on.cream && !on.cheese && !on.butter) || (on.white && !on.butter)) return 'whisk';
      if (on.cream && air) return 'whisk';
      if (on.yolk && (air || !(on.cheese || on.butter))) return 'whisk';
      return 'beat';
    case 'mix':
    case 'combine':
    case 'stir':
      if (HOT.test(text)) return 'heat';
      if (/\bpeaks?\b/i.test(text) && foams) return 'whisk';
      if (/^(?:gently )?(?:stir|mix) (?:in )?.*\bgently\b.*\bfoam\b/i.test(said)) return 'fold';
      return /\bpaddle\b|\bmixer\b/i.test(text) && (on.cheese || on.butter) ? 'beat' : 'hands';
    case 'cream':
      return 'beat';
    // 'Work the yolks with the sugar until frothy', 'work the butter'.
    case 'work':
      return air && foams && !on.butter ? 'whisk' : on.butter || on.cheese ? 'beat' : 'hands';
    case 'run':
      if (/\bknife\b/i.test(text)) return 'finish';
      return foams && air ? 'whisk' : 'beat';
    case 'increase':
    case 'raise':
    case 'turn':
    case 'switch':
    case 'continue':
    case 'start':
    case 'begin':
    case 'keep':
    case 'go':
    case 'carry':
      // 'Carry the tin to the freezer': it is brought there.
      if (verb === 'carry' && !/^carry on\b/i.test(said)) return whereItGoes(verb, text, on);
      // 'Over medium heat keep stirring till it bubbles'.
      if (/^(?:continue|keep|go|carry)$/.test(verb) && HOT.test(text) && /\b(?:stirr|cook|whisk|beat|simmer)ing\b/i.test(text)) return 'heat';
      if (verb === 'turn') {
        if (/\bturn (?:it |the \w+ |them )?out\b|\bupside\b|\binvert/i.test(text)) return 'finish';
        if (/\bturn\b.*\binto\b/i.test(text)) return SERVED_IN.test(text) ? 'fill' : 'hands';
      }
      // 'Turn it down to 250 F for an hour': what bakes bakes on.
      if (verb === 'turn' && on.baking && timesIn(text).length > 0 && !/\boff\b/i.test(text)) return 'bake';
      if (OVEN.test(text) || (/\bheat\b/i.test(text) && !/\bmixer|\bspeed|\bwhisk|\bwhip|\bbeat/i.test(text))) return 'hands';
      if (COLD_PLACE.test(text)) return 'chill';
      return (air || /\bwhisk|\bwhip|\bbeat/i.test(text)) && foams && !on.butter
        ? 'whisk'
        : /\bspeed|\bmixer|\bbeat/i.test(text) && (on.butter || on.cheese)
          ? 'beat'
          : /\bwhisk|\bwhip/i.test(text)
            ? 'whisk'
            : 'hands';
    case 'bring':
      return ROOM.test(text) ? 'wait' : /\btogether\b/i.test(text) ? 'hands' : 'heat';
    // 'Blanch the yolks with the sugar': they are whisked pale.
    case 'blanch':
      return on.yolk ? 'whisk' : 'hands';
    case 'drop':
    case 'reduce':
    case 'decrease':
    case 'lower':
      // 'Reduce the purée over low heat.'
      if (verb === 'reduce' && /\bover (?:an? |the )?(?:very )?(?:low|medium|gentle|high)/i.test(text)) return 'heat';
      // 'Put it in the oven, reduce to 120 °C': the oven, not the mix.
      if (on.baking && /°|\b\d{2,3} ?[CF]\b|\bgas\b|\bheat\b/i.test(text)) return timesIn(text).length > 0 ? 'bake' : 'hands';
      return /\bspeed\b|\bmixer\b|\bheat\b|\boven\b/i.test(text)
        ? OVEN.test(text) && timesIn(text).length > 0
          ? 'bake'
          : 'hands'
        : verb === 'reduce'
          ? 'heat'
          : 'hands';
    case 'cook':
      return OVEN.test(text) ? 'bake' : 'heat';
    case 'warm':
    case 'brown':
    case 'heat':
    case 'melt':
      if (on.gelatin && /^melt\b.*\b(?:in|into|through)[.,;]?$/i.test(said)) return 'hands';
      return /\bheat the oven\b|\boven to\b/i.test(text) ? 'hands' : 'heat';
    case 'dissolve':
      return HOT.test(text) || /\bmicrowave|\bwarm the\b/i.test(text) ? 'heat' : 'hands';
    case 'toast':
      return OVEN.test(text) || /\bgas \d|\b1[2-9]0 ?°? ?C|\b2[0-4]0 ?°? ?C|\b[2-4]\d\d ?°? ?F/i.test(text) ? 'bake' : 'heat';
    case 'dry':
      return OVEN.test(text) || timesIn(text).some((t) => t.minutes[0] >= 20) ? 'bake' : 'hands';
    case 'temper':
      return COLD_PLACE.test(text) && timesIn(text).length > 0 ? 'chill' : 'hands';
    case 'preheat':
      return 'hands';
    case 'chill':
      return FREEZER.test(text) ? 'freeze' : 'chill';
    case 'cool':
    case 'leave':
    case 'let':
    case 'sit':
    case 'stand':
    case 'rest':
    case 'wait':
    case 'allow':
    case 'set':
    case 'put':
    case 'place':
    case 'transfer':
    case 'return':
    case 'store':
    case 'cover':
    case 'get':
    case 'take':
    case 'wrap':
    case 'stick':
    case 'pop':
    case 'bung':
    case 'shove':
    case 'chuck':
    case 'plonk':
    case 'hold-back':
    case 'ripen':
    case 'make':
    case 'slide':
    case 'give':
    case 'use':
    case 'check':
    case 'remove':
    case 'lift':
    case 'bang':
      return whereItGoes(verb, text, on);
    case 'sprinkle':
    case 'scatter':
    case 'strew':
    case 'drizzle':
    case 'trickle':
    case 'sift':
    case 'sieve':
    case 'grate':
    case 'shave':
    case 'crumble':
      if (verb === 'sprinkle' && on.gelatin && /\b(?:water|milk|juice|liquid|coffee|wine)\b/i.test(text)) return 'soak';
      if (verb === 'sprinkle' && !on.built && (on.gelatin || (on.setter && /\bwater\b|\bmilk\b|\bjuice\b/i.test(text)))) return 'soak';
      if (/\bin(?:to)? (?:the )?bottom of\b/i.test(text)) return 'fill';
      if (/^(?:drizzle|trickle)$/.test(verb) && /\b(?:drizzl|trickl)\w+ (?:\w+ly )?in\b/i.test(text)) return 'hands';
      if (on.late) return 'finish';
      if (verb === 'crumble' && /\bin(?:to)? (?:the |each |your )?(?:\w+ )?(?:glass(?:es)?|verrines|coupes|cups|jars|tumblers)\b/i.test(text)) return 'fill';
      if (/^(?:sift|sieve|grate|crumble|shave)/.test(verb)) return on.built && /\bover\b|\bon\b|\btop\b|\bit\b/i.test(text) ? 'finish' : 'hands';
      return on.built ? 'finish' : /^(?:scatter|strew)$/.test(verb) || (/\b(?:over|on|onto|top)\b/i.test(text) && SERVED_IN.test(text)) ? 'fill' : 'hands';
    case 'dot':
      return on.chilled ? 'finish' : 'fill';
    case 'dust':
      return on.built || !/\btin\b|\bpan\b|\btray\b/i.test(text) ? 'finish' : 'hands';
    case 'soak':
      return 'soak';
    case 'sponge':
      return 'soak';
    case 'line':
      // 'Line a film-lined bowl with slices of the roll'.
      if (/\bwith (?:the |some |your )?(?:[\w-]+ ){0,2}(?:slices|fingers|biscuits|sponge|ladyfingers|cake)\b/i.test(text)) return 'fill';
      // 'Line a tin with film, cream, biscuits, cream': what follows the film is laid.
      if (/\b(?:paper|film|parchment|foil)\b,\s*(?:\p{L}+ ?){1,3},\s*(?:\p{L}+ ?){1,3},/iu.test(text)) return 'fill';
      return /\bpaper\b|\bfilm\b|\bparchment\b|\bwith cling|\bfoil\b|\bplastic\b|\bacetate\b/i.test(text) ? 'hands' : 'fill';
    case 'press':
    case 'squash':
    case 'tamp':
      if (/^press\W*$/i.test(said.trim())) return 'fill';
      return SERVED_IN.test(text) ||
        /\bbottom\b|\bwall\b|\bsides?\b|\binto\b/i.test(text) ||
        /^(?:press|squash|tamp) (?:it |them |this )?(?:\w+ly )?(?:in|down|flat)\b/.test(said)
        ? 'fill'
        : 'hands';
    case 'divide':
    case 'divvy':
      return (SERVED_IN.test(text) || /\b(?:between|among)\b[^.;]*\b(?:bowls|plates)\b/i.test(text)) && !/\btwo bowls\b/i.test(text) ? 'fill' : 'hands';
    case 'cut':
    case 'slice':
      return on.chilled ? 'finish' : 'hands';
    case 'loosen':
      return /\bring\b|\bsides?\b|\bknife\b|\btin\b|\bmou?ld\b|\bedge/i.test(text) ? 'finish' : /\bspatula\b|\bspoon\b/i.test(text) ? 'hands' : 'beat';
    case 'dip':
      return /\bhot water\b|\bwarm water\b|\bmou?ld\b|\bterrine\b|\bknife\b/i.test(text) && !/\bfinger|\bbiscuit|\bladyfinger|\bsponge/i.test(text)
        ? 'finish'
        : 'soak';
    case 'release':
    case 'ease':
    case 'unclip':
      return 'finish';
    case 'strain':
      return /\binto (?:the |your |a |an |\w+ )?(?:\w+ )?(?:glass(?:es)?|ramekins|mou?lds?|cups|pots|jars|verrines|coupes)\b/i.test(text) ? 'fill' : 'hands';
    case 'insert':
      return /\b(?:knife|skewer|probe|thermometer|stick|toothpick|nozzle)\b/i.test(text) ? 'hands' : 'fill';
    case 'fold':
      return /\bpaper\b|film\b|\boverhang|\bplastic\b|\b(?:muslin|cheesecloth|cloth|foil|wrap)\b|\bover the top of\b/i.test(text) ? 'hands' : 'fold';
    case 'lighten':
      return 'fold';
    case 'swirl':
      // 'Swirl over the custard': on what stands there.
      if (on.built && /\b(?:over|onto|on top|on (?:the|it|your))\b/i.test(text)) return on.chilled && on.late ? 'finish' : 'fill';
      // 'Swirl the pan': it is only moved.
      return /\b(?:in|through|into|over)\b/i.test(text) && !/\bpan\b/i.test(text) ? 'fold' : 'hands';
    case 'scrape':
      return /\binto\b/i.test(text) && SERVED_IN.test(text) && !VESSEL_TO_MIX.test(text) ? 'fill' : 'hands';
    case 'pour':
      return 'fill';
    case 'spread':
    case 'spoon':
    case 'tip':
      // 'Spread on a tray, film at contact': it cools there.
      if (/\b(?:tray|plate|sheet|shallow dish)\b/i.test(text) && /\b(?:film|cling|contact)\b/i.test(text)) return 'hands';
      if (/\b(?:to|and let it|until) cool\b|\bto get cold\b/i.test(text) && /\bplate\b|\btray\b|\bsheet\b|\bboard\b|\bpaper\b|\bdish\b/i.test(text))
        return 'wait';
      return spooned(verb, text);
    case 'fill':
      // 'Fill a saucepan with an inch of water': for a bath.
      if (/\b(?:saucepan|pot|kettle|pan)\b[^.;]*\bwater\b/i.test(text)) return 'hands';
      return 'fill';
    case 'pipe':
    case 'layer':
    case 'lay':
    case 'build':
    case 'level':
    case 'smooth':
    case 'repeat':
      return 'fill';
    case 'top':
      if (/\btop(?:ped)? (?:it |them )?up\b|\btop and tail/i.test(text)) return 'hands';
      // 'Top with a single layer of crackers': what follows goes over it.
      if (/\btop\b[^.;]*\bwith (?:an? |the )?(?:single |another |second |third |next )?layer of\b/i.test(text)) return 'fill';
      return on.chilled || on.late || /\bjust before\b|\bserv/i.test(text) ? 'finish' : on.built ? 'finish' : 'fill';
    case 'crown':
    case 'frost':
    case 'ice':
    case 'glaze':
      return on.chilled || on.late || /\bjust before\b|\bserv/i.test(text) ? 'finish' : on.built ? 'finish' : 'fill';
    case 'finish':
      return /\bwith\b|\btop\b/i.test(text) || on.built ? 'finish' : 'hands';
    case 'serve':
    case 'enjoy':
    case 'eat':
      return 'serve';
    case 'break':
    case 'tear':
    case 'cube':
    case 'snap':
      // 'Break the cake into a trifle bowl': it lies there.
      return /\b(?:into|in|over) (?:a |an |the |your )?(?:[\w-]+ ){0,2}(?:trifle bowl|(?:trifle|glass|serving|pretty) (?:bowl|dish)|glasses|coupes|(?:bottom|base|floor) of)\b/i.test(
        text,
      )
        ? 'fill'
        : 'hands';
    default:
      // 'Drain in a sieve overnight in the fridge'.
      return c.verb!.work === 'hands' && COLD_PLACE.test(text) && timesIn(text).length > 0 && !/\b(?:from|out of) the\b/i.test(text) ? 'chill' : c.verb!.work;
  }
}

/** 'Take out 10 minutes before slicing', 'move to the fridge an hour before serving': it stands for that long. */
const TAKEN_OUT = /^[^.;]{0,24}\b(?:take|bring|remove|move|transfer|get|lift)\b[^.;]{0,40}\b(?:minutes?|mins?|hours?|hour)\s+before\b/i;

/** Spooned, tipped or spread: into a bowl it is mixed, anywhere else it is laid. */
function spooned(verb: string, text: string): StepWork {
  return VESSEL_TO_MIX.test(text) && verb !== 'spread' && !SERVED_IN.test(text.replace(/\bbowl\b/g, '')) ? 'hands' : 'fill';
}

/** Into an oven: it bakes. */
const PUTS = new Set(['place', 'put', 'slide', 'get', 'transfer', 'stick', 'pop', 'bung', 'shove', 'chuck', 'plonk']);

function whereItGoes(verb: string, text: string, on: WorkedOn): StepWork {
  // 'Return to pot': back on the heat.
  if (verb === 'return' && /\b(?:to|into) (?:the |a |its )?(?:clean |rinsed |same )?(?:pots?|pan|saucepan|heat|hob|stove)\b/i.test(text)) return 'hands';
  // 'Make the meringue: whites till they are stiff, then the sugar'.
  if (verb === 'make' && on.white && PEAK.test(text) && !HOT.test(text)) return 'whisk';
  // 'Make a boiled custard of the cream and the yolks.'
  if (verb === 'make' && on.yolk && /\b(?:custard|anglaise|curd|sabayon)\b/i.test(text)) return 'heat';
  const timed = timesIn(text).length > 0;
  // 'Stick a biscuit in each as you send them up.'
  if (on.late && on.built && !timed && PUTS.has(verb)) return 'finish';
  if (ROOM.test(text) && verb !== 'remove' && verb !== 'lift') return 'wait';
  if (TAKEN_OUT.test(text) && timed) return 'wait';
  if (verb === 'remove' || verb === 'lift' || verb === 'slide' || verb === 'take') {
    if (
      /\bring\b|\bsides?\b|\bmou?lds?\b|\btin\b|\bcollar\b|\bpaper\b|\bfilm\b|\bout of the (?:dish|terrine|pan)|\bterrine\b/i.test(text) &&
      !/\bheat\b|\boven\b/i.test(text)
    )
      return 'finish';
    if (/\bout of\b|\bfrom\b|\boff\b/i.test(text))
      return ROOM.test(text) && timed ? 'wait' : /\b(?:fridge|freezer|refrigerator)\b/i.test(text) && timed ? 'wait' : 'hands';
    if (verb !== 'take') return 'hands';
  }
  // 'Leave it for an hour and a quarter', in the oven that was spoken of last.
  if (verb === 'leave' && on.baking && timed && !/\b(?:off|open|ajar|cool\w*|cold|out)\b/i.test(text)) return 'bake';
  if (/\b(?:infuse|steep|brew|macerate|bloom|soak|swell|hydrate)\b/i.test(text)) return 'soak';
  if ((verb === 'make' || verb === 'build') && /\b(?:layers?|stor(?:e?ys|ies)) of\b/i.test(text) && !HOT.test(text)) return 'fill';
  if ((FREEZER.test(text) || FROST.test(text)) && !/\bout of the freezer|\bfrom the freezer/i.test(text)) return 'freeze';
  if (
    COLD_PLACE.test(text) &&
    !/\b(?:from|out of) the (?:fridge|refrigerator)|\bin(?:to)? the cold (?:\w+ )?(?:bowl|pan|cream|milk|water|mixture|custard)\b/i.test(text)
  )
    return 'chill';
  if (verb === 'set' && /\bset (?:the |your |an )?oven\b/i.test(text)) return 'hands';
  // 'Spread it on the base and leave it overnight': nobody leaves cream in the warm for so long.
  if (verb === 'leave' && on.built && (on.cream || on.cheese) && timesIn(text).some((t) => t.minutes[0] >= 240)) return 'chill';
  if (OVEN.test(text)) return PUTS.has(verb) ? 'bake' : 'wait';
  if (/\bsteam|\bover (?:a|the) (?:pan|pot|saucepan)|\bmicrowave|\bon the (?:hob|stove)|\bover (?:low|medium|gentle|high)/i.test(text)) return 'heat';
  switch (verb) {
    case 'cool':
    case 'wait':
    case 'rest':
    case 'sit':
    case 'stand':
    case 'ripen':
      // 'Stand the biscuits round the top': they are put there.
      if (verb === 'sit' && !timed && /\bon(?:to)? (?:top|each|the)\b/i.test(text)) return 'fill';
      return verb === 'stand' &&
        !timed &&
        /\bstand (?:the|them|a|an|some|\w+) (?:\w+ )?(?:round|around|on|upright|along|up)\b|\bstand (?:the|them) \w+ \w+ (?:round|around|on|along)\b/i.test(
          text,
        )
        ? on.chilled || on.late
          ? 'finish'
          : 'fill'
        : 'wait';
    case 'leave':
    case 'let':
    case 'allow':
      // 'Let that run till it is pale': the machine.
      if (
        /\b(?:let|leave) (?:it|that|them|this|the mixer|the machine) (?:run|go(?! (?:cold|cool|off))|whisk|whip|beat|running|going|whisking|whipping|beating)\b/i.test(
          text,
        )
      )
        return on.cream || on.white || on.yolk ? 'whisk' : 'beat';
      return /\bboil\b|\bsimmer\b|\bbubble\b/i.test(text) ? 'heat' : /\bwhip|\bwhisk/i.test(text) && (on.cream || on.white) ? 'whisk' : 'wait';
    case 'set':
      if (
        !timed &&
        /\bset (?:a|an|one|the|each|\d+) \w+(?: \w+)? on(?:to)? (?:a |the |each |every )?(?:\w+ )?(?:plates?|platter|stand|board|base|top)\b/i.test(text)
      )
        return 'fill';
      return timed || /\bset (?:for|overnight|until)\b/i.test(text) ? 'chill' : /\bover\b/i.test(text) ? 'heat' : 'hands';
    case 'put':
    case 'place':
    case 'transfer':
    case 'stick':
    case 'pop':
    case 'bung':
    case 'shove':
    case 'chuck':
    case 'plonk':
    case 'return':
    case 'slide':
    case 'give':
    case 'get':
    case 'carry':
    case 'use':
    case 'make':
      if (/\b(?:in|into|over) (?:the )?bottom of\b/i.test(text)) return 'fill';
      if (VESSEL_TO_MIX.test(text) && !/\b(?:serving|trifle|glass|pretty) bowl/i.test(text)) return 'hands';
      if (verb === 'put' && on.built && PUT_IN_HALF.test(text)) return 'fill';
      if (verb === 'put' && /\bput (?:the |some |a few )?(?:[\w'-]+ ){1,3}in\s*[,.;]/i.test(text) && !SERVED_IN.test(text)) return 'hands';
      if (verb === 'make' && HOT.test(text)) return 'heat';
      if (verb === 'make' || verb === 'use' || verb === 'get' || verb === 'give') return 'hands';
      return SERVED_IN.test(text) || /\bon top\b|\bonto\b|\bover\b/i.test(text) ? 'fill' : 'hands';
    case 'cover':
      return timed && !on.built
        ? 'wait'
        : /\bwith (?:the |another |a )?(?:second |remaining |rest of )?(?:.{0,20})?(?:cream|filling|biscuits?|cookies|layer|meringue|chocolate|mixture)/i.test(
              text,
            )
          ? 'fill'
          : 'hands';
    default:
      return ROOM.test(text) && timed ? 'wait' : 'hands';
  }
}

/** Degrees of a freezer: 'at −18', '-20 °C'. */
export const FROST = /(?:\bat |[,;] ?|^)[-−–](?:1\d|2\d|3\d)(?!\d)/;

/** A mix that is brought to a heat, without a verb: 'purée, yolks, sugar to 82 °C'. */
export const warmedTo = (text: string): boolean =>
  /\bto (?:about )?\d{2,3}(?!\d)/i.test(text) && temperaturesIn(text, false).some((t) => t.of === 'mix' && t.c >= WARMED_FROM_C && t.c < SYRUP_FROM_C);
const WARMED_FROM_C = 45;
const SYRUP_FROM_C = 105;

/** Notes without a verb: 'lvs in cold water 5 min', 'lid on, fridge overnight', 'oven 180 C, 10 min'. */
/** Into what is in hand. */
const INTO_HAND = /\binto (?:that|it|this|them|the (?:bowl|mix|mixture))\b/i;

function workWithoutVerb(text: string, on: WorkedOn): StepWork {
  if (/^(?:do (?:that|this|the same|it)|repeat|again|and so on)\b/i.test(text) || (LAYING.test(text) && (on.built || !INTO_HAND.test(text)))) return 'fill';
  if (BUILT_IN.test(text) || /^(?:assembly|assemble|montage|build(?:ing)?|to build|layer(?:s|ing)?)\s*[:–-]/i.test(text)) return 'fill';
  if (goesOver(text)) return 'fill';
  // 'Pipe them, 100 degrees for an hour'.
  if ((IN_AN_OVEN.test(text) && timesIn(text).length > 0) || (BAKES_ON.test(text) && on.baking)) return 'bake';
  // '300 ml of cream whipped with a spoonful of sugar till it is floppy'.
  if (on.cream && /\bcream,? (?:whipped|beaten)\b/i.test(text) && (stageIn(text) !== null || /\b(?:whipped|beaten) (?:up )?with\b/i.test(text))) return 'whisk';
  if (on.late && on.built) return 'finish';
  if (FREEZER.test(text) || (FROST.test(text) && timesIn(text).length > 0)) return 'freeze';
  if (COLD_PLACE.test(text)) return 'chill';
  if (OVEN.test(text) && timesIn(text).length > 0) return 'bake';
  if (/\bmicrowave\b|\bhob\b|\bboil|\bhot\b.*\bnot\b|\bsimmer/i.test(text)) return 'heat';
  if (warmedTo(text) && (on.yolk || on.cream || on.white || on.chocolate)) return 'heat';
  if (HOT.test(text) || toSyrup(text) || (/\bin (?:a|the) (?:small |little )?(?:sauce)?pan\b/i.test(text) && timesIn(text).length > 0)) return 'heat';
  if (FOAM_NAMED.test(text) && (on.white || on.cream)) return 'whisk';
  if (on.gelatin && /\bwater\b|\bh2o\b/i.test(text)) return 'soak';
  if (/\bpeaks?\b/i.test(text) && (on.cream || on.white || on.yolk)) return 'whisk';
  if (MIXER.test(text) && stageIn(text) !== null && (on.cream || on.white || on.yolk)) return 'whisk';
  if (/\bovernight\b|\bo\/n\b/i.test(text)) return 'chill';
  if (/\b(?:till|until|'til)\b.*\bsmooth\b|\bsmooth\b/i.test(text) || MIXER.test(text))
    return (on.cream && !on.cheese) || ((on.white || on.yolk) && !on.butter && !on.cheese) ? 'whisk' : 'beat';
  if (/\binto\b|\bonto\b|\bon top\b|\blayer/i.test(text) && SERVED_IN.test(text)) return 'fill';
  if (on.built && /\bon top\b|\bover\b/i.test(text)) return on.chilled || on.late ? 'finish' : 'fill';
  return 'hands';
}

/** What a step needs besides hands. */
export function machineOf(work: StepWork, c: Clause, electric: boolean): StepMachine | null {
  const { text } = c;
  switch (work) {
    case 'bake':
      return 'oven';
    case 'chill':
      return 'fridge';
    case 'freeze':
      return 'freezer';
    case 'heat':
      return /\bmicro(?:wave)?\b/i.test(text) ? null : 'hob';
    case 'whisk':
      return BY_HAND.test(text) && !/\bmixer\b|\belectric\b/i.test(text) ? null : 'mixer';
    case 'beat':
      return BY_HAND.test(text) && !MIXER.test(text)
        ? null
        : MIXER.test(text) || (electric && (c.verb?.base === 'beat' || c.verb?.base === 'cream' || c.verb?.base === 'blend' || c.verb === null))
          ? 'mixer'
          : null;
    case 'wait':
      return OVEN.test(text) && /\bin\b|\bdoor\b|\bajar\b|\bshut\b|\bclosed\b|\bleave\b/i.test(text) && !/\bfrom the oven|\bout of the oven/i.test(text)
        ? 'oven'
        : null;
    case 'hands':
      return c.verb?.base === 'preheat' || /\boven (?:to\b|at\b|on\b|\d)|\bheat the oven\b|\b(?:turn|switch) (?:on |off )?the oven\b|\boven off\b/i.test(text)
        ? 'oven'
        : null;
    default:
      return null;
  }
}

/** How long a clause says that it takes, min; how long it keeps is no such time. */
export function minutesOf(text: string, work: StepWork): readonly [number, number] | null {
  const times = timesIn(text).filter((t) => !isAge(text, t));
  // 'Then down to 140 for 20 more': minutes, as before.
  const more = times.length === 0 && work === 'bake' ? Number(/\bfor (?:another )?(\d{1,3})(?: more)?\W*$/i.exec(text)?.[1] ?? NaN) : NaN;
  if (Number.isFinite(more)) return [more, more];
  if (times.length === 0) return /\bfor (?:several|some) hours\b/i.test(text) ? [180, 360] : null;
  const t = times.find((x) => x.bound !== 'most') ?? times[0]!;
  // 'Chill for up to 3 days' asks for no time of its own.
  if (t.bound === 'most' && (work === 'chill' || work === 'freeze') && t.minutes[1] > 600) return [0, t.minutes[1]];
  const night = times.find((x) => x.minutes[0] >= 480 && x !== t);
  const [low, high] = t.minutes;
  if (
    (work === 'chill' || work === 'freeze' || work === 'wait' || work === 'soak') &&
    night &&
    t.bound !== 'most' &&
    /\bor\b|\bbetter|\bpreferabl|\bideally|\bup to\b|\bthough\b|\bif you can\b/i.test(text)
  )
    return [low, Math.max(high, night.minutes[1])];
  const most = times.find((x) => x.bound === 'most' && x !== t && x.minutes[1] > high);
  return most && t.bound === 'least' ? [low, most.minutes[1]] : [low, high];
}

/** 'Within 2 hours of serving', 'an hour before it is served', 'keeps 3 days': when, not how long. */
const isAge = (text: string, t: SaidTime): boolean =>
  (!TAKEN_OUT.test(text) &&
    !/\b(?:stand|rest|sit|leave|let|wait|soften|cool|temper|chill|refrigerate|freeze|fridge|freezer|set)\b[^.;]{0,30}$/i.test(text.slice(0, t.start)) &&
    /^\s*(?:before|ahead|earlier|in advance|after (?:it|they) )/i.test(text.slice(t.end, t.end + 16))) ||
  /\b(?:keeps|keep for up to|lasts?|hold(?:s)? (?:for )?(?:up to )?|every|last|final|within)\s*$/i.test(text.slice(Math.max(0, t.start - 18), t.start));

const STAGES: readonly (readonly [RegExp, 'soft' | 'medium' | 'firm'])[] = [
  [/\b(?:stiff|firm)(?:ish|er)?,?(?: \w+)? peaks?\b/i, 'firm'],
  [/[(,]\s?soft\s?[!),.]/i, 'soft'],
  [/\bsoft(?:ish|er)?,?(?: \w+)? peaks?\b|\bto (?:a )?soft\b|\bsoftly\b|\bjust (?:hold|thicken)/i, 'soft'],
  [/\bto (?:a )?(?:stiff|firm)\b/i, 'firm'],
  [/\bsoft(?:ly)?(?: and| to)? medium|\bmedium[- ]soft/i, 'medium'],
  [
    /\bmedium[- ](?:firm|stiff)|\b(?:semi|half)[- ]?(?:stiff|firm|whip(?:ped)?)|\bhalf[- ]stiff|\bmed(?:ium)?(?:[- ](?:stiff|firm))? peaks?|\bmed peak|(?<!\b(?:on|at) )\bmedium\b(?! (?:speed|heat|bowl|high|low|sized|saucepan|pan|-))/i,
    'medium',
  ],
  [
    /\bsoft(?:ly)?\b(?:,? (?:floppy|pillowy|billowy|droopy|dropping))?[^.]{0,16}\bpeaks?\b|\bsoftly whipped|\bwh(?:ip|isk)\w*\b[^.;]{0,60}\b(?:until|till) soft\b(?! and)|\bsoft peaks?|\bflops? over|\blightly whip|\bfloppy\b|\bbarely (?:holds|whipped)|\bjust (?:holds|thickened|thick)|\bloosely\b|\bdollop|\btrails?\b|\bribbons?\b|\bsoft and billow|\bstill soft\b|\btip (?:falls|flops|bends|droops|curls)/i,
    'soft',
  ],
  [
    /\bstiff|\bfirm|\bhold(?:s)? (?:its|their|a) (?:shape|peaks?|points?)|\bstands? (?:up|straight)|\bclings?\b(?! ?(?:film|wrap))|\bstand in (?:points|peaks)|\bpipe?able\b|\bthick enough to pipe/i,
    'firm',
  ],
];

/** To which stage a clause whips; null where it does not say. */
export const stageIn = (text: string): 'soft' | 'medium' | 'firm' | null => {
  // 'Until stiff, with the sugar added at soft peak': when something goes in is no end.
  const said = text
    .replace(
      /\b(?:add(?:ed|ing)?|in|put in|going in)\b[^.;,]{0,24}\b(?:at|from) (?:the )?(?:soft|medium|firm|stiff)[- ]?peaks?\b(?: stage)?|\b(?:at|from) (?:the )?(?:soft|medium|firm|stiff)[- ]?peaks?\b(?: stage)?,? (?:add|put in|pour in|sprinkle in)\b/gi,
      ' ',
    )
    .replace(/\bnot (?:too |yet |at all )?(?:stiff|firm|soft)\b/gi, ' ')
    .replace(/\b(?:before|no further than|until almost) (?:stiff|firm)\b/gi, ' ');
  return STAGES.find(([pattern]) => pattern.test(said))?.[1] ?? null;
};

export const mentionsElectric = (text: string): boolean =>
  /\b(?:stand|hand|electric|elec|kitchen|table|planetary)[- ]?(?:hand )?mixer|\bmixer\b|\belectric (?:whisk|beaters?)|\bpaddle|\bbeaters\b/i.test(text);
