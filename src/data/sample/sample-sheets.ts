import type { Family, HeatPlan, PartKind } from '../../core/document/kinds';
import type { Sheet, WhiskPlan } from '../../core/document/schema';
import type { TinPlan } from '../../core/document/tin-plan-schema';

/** A part as the sample kitchen's cooks wrote it down. */
export interface SamplePart {
  readonly id: string;
  readonly kind: PartKind;
  readonly name: string;
  readonly lines: readonly string[];
  readonly ways?: Readonly<Record<string, string>>;
  readonly whisk?: Partial<WhiskPlan>;
  readonly heat?: Partial<HeatPlan>;
}

export interface SampleSheet {
  readonly id: string;
  readonly name: string;
  readonly family: Family;
  readonly portions: number;
  readonly use: Sheet['use'];
  readonly sweetness: Sheet['sweetness'];
  readonly vessel: string;
  readonly notes: string;
  readonly parts: readonly SamplePart[];
  readonly ways?: Readonly<Record<string, string>>;
  readonly servedAfterH?: number;
  readonly tin?: Partial<TinPlan>;
}

/** The sheets of Gannet Quay, the one last touched at the end; all made up. */
export const SAMPLE_SHEETS: readonly SampleSheet[] = [
  {
    id: 'sesame-fig-pudding',
    name: 'Sesame and fig layered pudding',
    family: 'pudding',
    portions: 8,
    use: 'spoon',
    sweetness: 'dessert',
    vessel: 'Footed glass',
    notes: 'Half the cream is folded into the cold custard, half goes on top. Figs only when the plate is called.',
    parts: [
      {
        id: 'custard',
        kind: 'custard',
        name: 'Sesame custard',
        lines: ['450 g milk', '3 yolks', '70 g caster sugar', '30 g corn starch', '70 g sesame paste', 'salt to taste (1 g)'],
      },
      { id: 'cream', kind: 'whipped-cream', name: 'Whipped cream', lines: ['400 g cream 36 %', '30 g icing sugar'], whisk: { stage: 'soft' } },
      {
        id: 'sesame-cream',
        kind: 'set-filling',
        name: 'Sesame cream',
        lines: ['all the sesame custard', 'half of the whipped cream'],
        ways: { 'first-portion': 'none' },
      },
      { id: 'wafers', kind: 'biscuit-layer', name: 'Wafers', lines: ['40 vanilla wafers'], ways: { dip: 'dry' } },
      { id: 'figs', kind: 'topping', name: 'Figs', lines: ['6 figs', '20 g honey'] },
    ],
  },
  {
    id: 'hazelnut-nest',
    name: 'Hazelnut nest with coffee cream',
    family: 'nest',
    portions: 8,
    use: 'spoon',
    sweetness: 'meringue',
    vessel: 'Nest on a plate',
    notes: 'Shells the day before; crown them at the pass, never earlier.',
    parts: [
      {
        id: 'nests',
        kind: 'meringue',
        name: 'Hazelnut nests',
        lines: ['4 whites', '220 g caster sugar', '1 tsp white vinegar', '6 g corn starch', '70 g toasted hazelnuts'],
        ways: { cooling: 'shut' },
      },
      {
        id: 'coffee-cream',
        kind: 'crown',
        name: 'Coffee cream',
        lines: ['350 g cream 38 %', '30 g icing sugar', '2 tsp instant coffee'],
        whisk: { stage: 'medium', mixerId: 'hand-mixer' },
      },
    ],
  },
  {
    id: 'plum-cheesecake',
    name: 'Plum set cheesecake',
    family: 'cheesecake',
    portions: 10,
    use: 'slice',
    sweetness: 'dessert',
    vessel: 'Springform 20 cm',
    tin: { cutAlong: 10 },
    notes: 'Cheese out two hours before. Plums cooked through, then the glaze goes on when the filling has set.',
    parts: [
      { id: 'base', kind: 'pressed-base', name: 'Oat base', lines: ['180 g oat thins', '60 g butter, melted', 'a pinch of salt'] },
      { id: 'cream', kind: 'whipped-cream', name: 'Whipped cream', lines: ['300 g cream 36 %'], whisk: { stage: 'soft', mixerId: 'hand-mixer' } },
      {
        id: 'filling',
        kind: 'set-filling',
        name: 'Cheese filling',
        lines: ['450 g cream cheese', '110 g caster sugar', '30 g lemon juice', '5 leaves gelatin', 'all the whipped cream'],
        ways: { 'first-portion': 'third' },
      },
      {
        id: 'plums',
        kind: 'fruit-base',
        name: 'Plum glaze',
        lines: ['400 g plums', '70 g caster sugar', 'less 90 g boils off', '2 1/2 leaves gelatin', 'less 6 % sieved out'],
      },
    ],
  },
  {
    id: 'rhubarb-trifle',
    name: 'Rhubarb and oat trifle',
    family: 'tiramisu',
    portions: 9,
    use: 'spoon',
    sweetness: 'dessert',
    vessel: 'Footed glass',
    notes: 'Custard made in the morning, cooled in ice. Oats on at the last moment: they go soft in an hour.',
    ways: { rest: 'hour' },
    parts: [
      { id: 'rhubarb', kind: 'fruit-base', name: 'Rhubarb', lines: ['400 g cooked rhubarb', '70 g caster sugar', '1 tsp vanilla extract'] },
      { id: 'sponge', kind: 'biscuit-layer', name: 'Sponge', lines: ['160 g genoise'], ways: { dip: 'brushed' } },
      { id: 'sherry', kind: 'soak', name: 'Sherry soak', lines: ['60 g sherry', '40 g water', '20 g caster sugar'] },
      { id: 'custard', kind: 'custard', name: 'Custard', lines: ['400 g milk', '4 yolks', '55 g caster sugar', '18 g corn starch', '1 tsp vanilla extract'] },
      { id: 'cream', kind: 'whipped-cream', name: 'Whipped cream', lines: ['350 g cream 36 %', '25 g icing sugar'], whisk: { stage: 'medium' } },
      { id: 'oats', kind: 'topping', name: 'Toasted oats', lines: ['80 g granola'] },
    ],
  },
  {
    id: 'prune-mousse',
    name: 'Bitter chocolate and prune mousse',
    family: 'mousse',
    portions: 12,
    use: 'glass',
    sweetness: 'dessert',
    vessel: 'Small glass',
    notes: 'Cream is used twice: first to melt the chocolate, later whipped. Weigh it apart.',
    parts: [
      {
        id: 'base',
        kind: 'chocolate-base',
        name: 'Chocolate base',
        lines: ['220 g dark chocolate 70 %', '150 g cream 36 %', '4 yolks', '40 g butter', '20 g brandy'],
        heat: { atC: 32 },
      },
      { id: 'whites', kind: 'egg-foam', name: 'Whites', lines: ['4 whites', '60 g caster sugar'], ways: { whites: 'french' } },
      { id: 'cream', kind: 'whipped-cream', name: 'Whipped cream', lines: ['240 g cream 36 %'], whisk: { stage: 'soft', mixerId: 'hand-mixer', creamC: 4 } },
      {
        id: 'mousse',
        kind: 'set-filling',
        name: 'Mousse',
        lines: ['all the chocolate base', 'all the whites', 'all the whipped cream'],
        ways: { 'first-portion': 'third' },
      },
      { id: 'prunes', kind: 'topping', name: 'Prunes', lines: ['12 prunes', '30 g brandy'] },
    ],
  },
  {
    id: 'honey-semifreddo',
    name: 'Buckwheat-honey semifreddo',
    family: 'semifreddo',
    portions: 12,
    use: 'slice',
    sweetness: 'semifreddo',
    vessel: 'Terrine 1.2 L',
    tin: { cutAlong: 12 },
    notes: 'So little syrup does not cook the yolks, even in a small bowl: back over steam to 72 °C, then whisk cool.',
    parts: [
      {
        id: 'yolks',
        kind: 'egg-foam',
        name: 'Yolk foam',
        lines: ['6 yolks', '60 g buckwheat honey', '30 g caster sugar', '35 g water', 'less 34 g boils off'],
        ways: { eggs: 'syrup' },
        whisk: { mixerId: 'hand-mixer' },
        heat: { bowlG: 180, curve: '0 52, 3 64, 6 72' },
      },
      { id: 'cream', kind: 'whipped-cream', name: 'Whipped cream', lines: ['320 g cream 36 %'], whisk: { stage: 'soft' } },
      {
        id: 'semifreddo',
        kind: 'set-filling',
        name: 'Semifreddo',
        lines: ['all the yolk foam', 'all the whipped cream', '24 g meringue shell'],
        ways: { 'first-portion': 'quarter' },
      },
      { id: 'pistachio', kind: 'topping', name: 'Pistachio', lines: ['40 g pistachio'] },
    ],
  },
  {
    id: 'elderflower-syllabub',
    name: 'Elderflower syllabub, whole',
    family: 'syllabub',
    portions: 6,
    use: 'spoon',
    sweetness: 'fruit-mousse',
    vessel: 'Small glass',
    notes: 'Stays whole: little wine, rich cream.',
    ways: { syllabub: 'whole' },
    parts: [
      {
        id: 'syllabub',
        kind: 'whipped-cream',
        name: 'Syllabub',
        lines: ['400 g double cream 48 %', '70 g dry white wine', '55 g elderflower cordial', '35 g caster sugar', '15 g lemon juice'],
        whisk: { stage: 'soft' },
      },
    ],
  },
  {
    id: 'quince-syllabub',
    name: 'Quince and perry syllabub, parted',
    family: 'syllabub',
    portions: 6,
    use: 'spoon',
    sweetness: 'dessert',
    vessel: 'Footed glass',
    notes: 'Made the evening before, so that the drink gathers under the curd.',
    ways: { syllabub: 'parted' },
    servedAfterH: 14,
    parts: [
      { id: 'quince', kind: 'fruit-base', name: 'Quince', lines: ['180 g cooked quince', '25 g caster sugar'] },
      {
        id: 'syllabub',
        kind: 'whipped-cream',
        name: 'Syllabub',
        lines: ['400 g double cream 48 %', '250 g perry', '80 g caster sugar', '25 g lemon juice', '1/4 tsp nutmeg'],
        whisk: { stage: 'soft', slowFromSoft: false },
      },
    ],
  },
  {
    id: 'pear-icebox',
    name: 'Pear and black-tea icebox cake',
    family: 'icebox',
    portions: 12,
    use: 'slice',
    sweetness: 'dessert',
    vessel: 'Springform 24 cm',
    tin: {
      layers: [
        { id: 'l1', partId: 'cream', by: 'mm', amount: 4 },
        { id: 'l2', partId: 'thins', by: 'share', amount: 0 },
        { id: 'l3', partId: 'cream', by: 'share', amount: 0 },
        { id: 'l4', partId: 'thins', by: 'share', amount: 0 },
        { id: 'l5', partId: 'cream', by: 'share', amount: 0 },
        { id: 'l6', partId: 'pears', by: 'share', amount: 0 },
      ],
      cutAlong: 12,
    },
    notes: 'Tea twice as strong. Stagger the seams; a thin bed of cream goes under the first biscuits.',
    parts: [
      {
        id: 'cream',
        kind: 'cheese-cream',
        name: 'Tea cream',
        lines: ['550 g cream 36 %', '200 g mascarpone', '90 g icing sugar', '40 g black tea', '5 leaves gelatin'],
        ways: { 'mascarpone-foam': 'cream' },
      },
      { id: 'thins', kind: 'biscuit-layer', name: 'Ginger thins', lines: ['38 ginger thins'], ways: { dip: 'dry' } },
      { id: 'pears', kind: 'topping', name: 'Pears', lines: ['2 pears, peeled and sliced', '15 g lemon juice'], ways: { 'fruit-late': 'lemon' } },
    ],
  },
  {
    id: 'barley-tiramisu',
    name: 'Toasted-barley tiramisu tray',
    family: 'tiramisu',
    portions: 24,
    use: 'slice',
    sweetness: 'dessert',
    vessel: 'Steel tray',
    tin: {
      layers: [
        { id: 'l1', partId: 'fingers', by: 'share', amount: 0 },
        { id: 'l2', partId: 'mascarpone-cream', by: 'share', amount: 0 },
        { id: 'l3', partId: 'fingers', by: 'share', amount: 0 },
        { id: 'l4', partId: 'mascarpone-cream', by: 'share', amount: 0 },
        { id: 'l5', partId: 'dust', by: 'share', amount: 0 },
      ],
      cutAlong: 6,
      cutAcross: 4,
    },
    notes: 'No coffee and no alcohol in it: barley instead. Yolks warmed to 34 °C in a light bowl first, so that the syrup takes them past 71 °C.',
    parts: [
      { id: 'soak', kind: 'soak', name: 'Barley soak', lines: ['540 g roasted barley infusion', '80 g light brown sugar'] },
      { id: 'fingers', kind: 'biscuit-layer', name: 'Fingers', lines: ['48 ladyfingers'], ways: { dip: 'dipped' } },
      {
        id: 'yolks',
        kind: 'egg-foam',
        name: 'Yolk foam',
        lines: ['10 yolks', '260 g caster sugar', '90 g water', 'less 60 g boils off'],
        ways: { eggs: 'syrup' },
        heat: { syrupC: 121, bowlG: 300, eggC: 34 },
      },
      { id: 'cream', kind: 'whipped-cream', name: 'Whipped cream', lines: ['600 g cream 36 %'], whisk: { stage: 'soft' } },
      {
        id: 'mascarpone-cream',
        kind: 'set-filling',
        name: 'Mascarpone cream',
        lines: ['900 g mascarpone', '11 1/2 leaves gelatin', 'all the yolk foam', 'all the whipped cream'],
        ways: { 'first-portion': 'third' },
      },
      { id: 'dust', kind: 'topping', name: 'Cocoa dust', lines: ['4 tbsp cocoa'] },
    ],
  },
  {
    id: 'malted-cheese-frosting',
    name: 'Malted cheese frosting',
    family: 'frosting',
    portions: 24,
    use: 'pipe',
    sweetness: 'frosting',
    vessel: 'Tub',
    notes: 'Cheese at 18 °C before it meets anything. A 24-cupcake batch, one rosette each.',
    parts: [
      {
        id: 'cream',
        kind: 'cheese-cream',
        name: 'Malted cheese cream',
        lines: ['400 g cream 38 %', '250 g cream cheese', '1 cup icing sugar', '30 g malt extract', '1/4 tsp salt'],
        whisk: { stage: 'firm', speed: 'medium' },
      },
    ],
  },
  {
    id: 'brown-butter-piping-cream',
    name: 'Brown-butter piping cream',
    family: 'frosting',
    portions: 16,
    use: 'pipe',
    sweetness: 'chantilly',
    vessel: 'Tub',
    notes: 'Melt the brown butter into 100 g of the cream, chill it back to 5 °C before whisking.',
    parts: [
      {
        id: 'cream',
        kind: 'cheese-cream',
        name: 'Piping cream',
        lines: ['500 g cream 36 %', '150 g mascarpone', '70 g icing sugar', '20 g brown butter', '2 1/2 leaves gelatin'],
        whisk: { stage: 'firm', sugarAt: 'soft-peak' },
      },
    ],
  },
  {
    id: 'bay-leaf-chantilly',
    name: 'Bay-leaf chantilly',
    family: 'chantilly',
    portions: 8,
    use: 'spoon',
    sweetness: 'chantilly',
    vessel: 'Serving bowl',
    notes: 'Three fresh bay leaves in the cream overnight, cold; strain before weighing.',
    parts: [
      {
        id: 'cream',
        kind: 'whipped-cream',
        name: 'Chantilly',
        lines: ['2 1/2 cup cream 36 %', '=1/12*720 g icing sugar', '1 tsp vanilla extract'],
        whisk: { stage: 'medium' },
      },
    ],
  },
];
