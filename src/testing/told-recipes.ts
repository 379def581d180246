/** Recipes that the reader had not seen when it was written: their bowls were set down by hand, then the reader was mended by meaning. */
export const TOLD: readonly (readonly [string, string, readonly string[]])[] = [
  [
    "two foams, told in one paragraph",
    `Prune & armagnac mousse with two foams

Whisk 4 yolks with 80 g sugar over steam to 75 C, then off the heat until cold. Whip 300 ml cream to soft peaks. Whisk the cream and the egg foam together until smooth, adding 150 g prune puree and 2 tbsp armagnac. Pour in glasses, chill 4 h.`,
    [
      'egg-foam: egg-yolk 68, sugar-caster 80',
      'whipped-cream: cream-35 303',
      'set-filling: ? 0, prune 150 <- egg-foam, whipped-cream',
    ],
  ],
  [
    "US-spelt cake with a fan oven and a cream of its own",
    `Coconut daquoise slice

For the dacquoise
4 egg whites
100 g caster sugar
100 g desiccated coconut
50 g icing sugar

For the cream
300 ml whipping cream
200 g mascarpone
2 limes, zest
50 g icing sugar

Heat the oven to 160C fan. Line a swiss roll tin. Whisk the egg whites to soft peaks, add the caster sugar a spoonful at a time and whisk to stiff peaks. Fold in the coconut and icing sugar. Spread in the tin and bake for 25 minutes. Leave to cool, then cut in three strips.
For the cream, beat the mascarpone with the icing sugar and zest, add the cream and whisk until it just holds its shape.
Sandwich the strips with the cream, finishing with cream. Chill for 2 hours before slicing.`,
    [
      'meringue: coconut-desiccated 100, egg-white 132, icing-sugar-starch 50, sugar-caster 100',
      'cheese-cream: cream-35 303, icing-sugar-starch 50, lime-zest 6, mascarpone 200',
    ],
  ],
  [
    "a chef’s list without measures, its steps counted in one row",
    `EGGNOG PANNA-MOUSSE (8 verrines)
milk 250
cream 35% 250 + 300 whipped
yolks 80
sugar 90
gelatin 8 (leaves, bloomed)
rum 40
nutmeg
1. bloom gelatin. 2. anglaise w/ milk, 250 cream, yolks, sugar to 83C. 3. add gelatin, strain. 4. cool to 25C, add rum + nutmeg. 5. fold in whipped 300 cream. 6. fill verrines, set 4h 4C.`,
    [
      'whipped-cream: cream-35 300',
      'custard: cream-35 250, egg-yolk 80, gelatin-leaf-gold 8, milk-whole 250, nutmeg-ground 0, rum-40 40, sugar-caster 90',
      'set-filling:  <- custard, whipped-cream',
    ],
  ],
  [
    "US pie, its lists in rows",
    `Peanut butter pie
Serves 10

Crust: 25 chocolate sandwich cookies, crushed; 5 tablespoons butter, melted.
Filling: 8 ounces cream cheese, softened; 1 cup creamy peanut butter; 1 cup powdered sugar; 1 1/2 cups heavy whipping cream; 1 teaspoon vanilla.
Topping: 1/2 cup heavy cream, whipped; chopped peanuts.

Mix crust ingredients and press into a 9" pie dish. Freeze 10 minutes.
Beat cream cheese, peanut butter, sugar and vanilla until smooth. In another bowl whip the cream to stiff peaks; fold into the peanut butter mixture in two additions. Spoon into crust. Refrigerate at least 6 hours or overnight. Top with whipped cream and peanuts.`,
    [
      'whipped-cream: cream-36 119',
      'pressed-base: butter-82 71, chocolate-sandwich 275',
      'set-filling: cream-cheese-block 227, icing-sugar-starch 120, peanut-butter 258, vanilla-extract 5 <- whipped-cream',
      'whipped-cream: cream-36 358',
      'topping: peanut 0',
    ],
  ],
  [
    "a charlotte, told",
    `Strawberry charlotte russe — the way I do it

Line a charlotte mould with about 20 sponge fingers, rounded side out. Puree 400 g strawberries with 100 g icing sugar and the juice of half a lemon. Soak 5 leaves of gelatine, melt them in a little of the puree, stir back into the rest. When it starts to set fold in 400 ml of double cream, whipped just to ribbons. Pour into the mould, cover with more sponge fingers and let it set overnight. Dip the mould in hot water and turn it out; decorate with 100 ml of whipped cream and a few strawberries.`,
    [
      'biscuit-layer: ladyfinger 160',
      'fruit-base: gelatin-leaf-gold 10, icing-sugar-starch 100, lemon-juice 23, strawberry 400',
      'whipped-cream: cream-48 400',
      'set-filling:  <- fruit-base, whipped-cream',
      'topping: cream-35 101',
    ],
  ],
  [
    "a sponge, a fool, a finish",
    `Blackcurrant fool cake

For the sponge base: 3 eggs, 90 g caster sugar, 90 g plain flour.
For the fool: 400 g blackcurrants, 120 g sugar, 4 sheets gelatine, 450 ml double cream, 200 g thick yogurt.
To finish: 100 ml double cream and a handful of blackcurrants.

Whisk eggs and sugar for 8 min until thick. Sift over the flour and fold in. Bake in a 23cm tin at 180°C for 20 min. Cool.
Soften gelatine in cold water. Simmer the blackcurrants with the sugar for 5 min, push through a sieve. Stir the squeezed gelatine into the hot purée. Cool to room temperature. Stir in the yogurt. Whip cream to soft peaks, fold through. Put the sponge back in the cleaned tin, pour over the fool and chill at least 4 hrs. Whip the last of the cream, pipe rosettes round the edge and scatter with berries.`,
    [
      'biscuit-layer: egg-whole 150, sugar-caster 90, wheat-flour 90',
      'set-filling: blackcurrant 400, gelatin-leaf-gold 8, greek-yoghurt-10 200, sugar-caster 120',
      'whipped-cream: cream-48 450',
      'set-filling:  <- set-filling, whipped-cream',
      'whipped-cream: cream-48 100',
      'topping: blackcurrant 40',
    ],
  ],
  [
    "as an aunt tells it",
    `Dulce de leche icebox pie, as told by my aunt

You take a sleeve of graham crackers and smash 'em up, stir in a stick of melted butter and pat it in a nine inch pie plate. Bake that ten minutes at 350. While it cools beat a block of cream cheese with a can of dulce de leche, 13.4 ounces, till there's no lumps. Whip a cup and a half of heavy cream good and stiff, fold it in, pile it into the crust, and stick it in the icebox till tomorrow. Before you serve it, whip another half cup of cream with a spoon of sugar and dollop it on.`,
    [
      'pressed-base: butter-82 113, graham-rectangle 400',
      'set-filling: caramel-sauce 380, cream-cheese-block 227 <- whipped-cream',
      'whipped-cream: cream-36 358',
      'whipped-cream: cream-35 119, sugar-caster 13',
    ],
  ],
  [
    "layers that are numbered",
    `Mocha cream torte
8 inch, 10 slices

Layer 1 - base
180g speculoos
70g butter

Layer 2 - mocha
2 tsp instant espresso
150g dark choc
50ml hot milk
400ml cream

Layer 3 - vanilla
3g gelatine powder
15ml water
300ml cream
40g icing sugar
1 tsp vanilla

Blitz speculoos, add melted butter, press, chill.
Dissolve espresso in hot milk, pour on choc, stir smooth, cool. Whip 400ml cream soft, fold in. Spread, chill 1h.
Bloom gelatine in water 5 min, melt in microwave. Whip cream, sugar & vanilla till it starts to thicken, drizzle in gelatine, whip to medium. Spread on top, level, chill 4h.
Dust with cocoa.`,
    [
      'pressed-base: butter-82 70, speculaas-rectangle 180',
      'set-filling: chocolate-dark-64 150, espresso-powder 3, milk-whole 52 <- whipped-cream',
      'whipped-cream: cream-35 404',
      'whipped-cream: cream-35 303, gelatin-powder-225 3, icing-sugar-starch 40, vanilla-extract 5, water 15',
    ],
  ],
  [
    "bought nests",
    `Chestnut cream in meringue cases

Ingredients (for six)
6 meringue nests (bought)
250g tin sweetened chestnut purée
300ml whipping cream
1 tbsp dark rum
25g plain chocolate

Method: Beat the chestnut purée with the rum until loose. Whip the cream until it just holds, fold half of it into the purée and spoon into the nests. Pipe the rest of the cream on top & grate the chocolate over. Serve within the hour.`,
    [
      'set-filling: chestnut-puree 250, rum-40 14 <- whipped-cream',
      'whipped-cream: cream-35 303',
      'biscuit-layer: meringue-shell 84',
      'topping: chocolate-dark-55 25',
    ],
  ],

  [
    "an icebox log for a crowd, in numbered steps",
    `Gingerbread icebox log for a crowd
Yield: 2 loaves (about 20 slices)

• 1 quart heavy whipping cream
• 1/2 c. confectioners sugar
• 2 tsp. ground ginger
• 1 tsp vanilla
• 2 (9 oz) boxes thin ginger cookies
• Candied ginger, for garnish

Directions
1) Using a stand mixer fitted with the whisk, beat the cream on medium-high until it begins to thicken, about 2 minutes. Add sugar, ground ginger and vanilla; keep beating to stiff peaks, 1-2 minutes longer.
2) Spread about a tablespoon of cream on each cookie and stack into logs, lay the logs side by side in two plastic-lined loaf pans.
3) Cover with the remaining cream. Refrigerate overnight (at least 8 hrs).
4) Invert, peel off plastic, scatter candied ginger over. Slice on the diagonal.`,
    [
      'whipped-cream: cream-36 955, ginger-ground 4, icing-sugar-starch 60, vanilla-extract 5',
      'biscuit-layer: ginger-thin 510',
      'topping: ginger-stem 1',
    ],
  ],
  [
    "a fruit semifreddo with sugar said twice",
    `Apricot & amaretti semifreddo

300 g apricots (stoned weight)
2 tbsp apricot brandy
100 g sugar, plus 50 g
3 egg whites
284 ml carton double cream
100 g amaretti

Poach the apricots with the 50 g sugar and a splash of water 10 minutes, blitz, cool, stir in the brandy.
Whisk the whites stiff, then whisk in the 100 g sugar a spoonful at a time.
Whip the cream softly. Fold the purée into the cream, then the meringue. Crush in the amaretti.
Freeze in a lined 1 kg loaf tin for at least 6 hours. 20 min in the fridge before serving.`,
    [
      'fruit-base: ? 0, apricot 300, sugar-caster 50',
      'egg-foam: egg-white 99, sugar-caster 100',
      'whipped-cream: cream-48 284',
      'set-filling: amaretti 100 <- egg-foam, fruit-base, whipped-cream',
    ],
  ],
  [
    "cups, in three rows and a hurry",
    `White Choc Cheesecake Cups - makes 8
BASE: 150g oaty biscuits, 60g butter melted
MIX: 250g white chocolate, 300g full fat soft cheese, 250ml double cream, 1tsp vanilla
TOP: 150g raspberries, 2 tbsp jam

Crush bics + butter, divide between 8 glasses. Melt choc over simmering water, cool slightly. Beat cheese + vanilla, beat in choc. Softly whip cream & fold in. Spoon over bases. Chill 2h min. Warm jam, toss with rasps, spoon on top before serving.`,
    [
      'pressed-base: ? 150, butter-82 60',
      'chocolate-base: chocolate-white 250',
      'set-filling: soft-cheese-tub 300, vanilla-extract 5 <- chocolate-base, whipped-cream',
      'whipped-cream: cream-48 250',
      'fruit-base: jam 41, raspberry 150',
    ],
  ],
  [
    "US icebox cake whose row holds two things, one kept for the drizzle",
    `Strawberry Icebox Cake with Whipped Ricotta

Serves 9

1 (14.4-oz) box graham crackers
2 lbs strawberries, hulled and thinly sliced
3 cups heavy whipping cream, cold
1 cup whole-milk ricotta
3/4 cup powdered sugar, plus 2 tablespoons for the berries
2 tsp vanilla extract
pinch of salt
1/2 cup white chocolate chips + 2 tbsp cream for drizzle

Toss the sliced strawberries with 2 tablespoons powdered sugar and let stand 15 minutes; drain, saving the juice for the cook.
In a stand mixer with the whisk attachment, whip the ricotta with the remaining powdered sugar, vanilla and salt on medium-high until smooth, about 2 minutes. With the mixer on low, stream in the cream, then whip on medium-high to stiff peaks, 3 to 4 minutes.
Spread a thin layer of cream in the bottom of a 9x13 pan. Lay down a single layer of graham crackers, breaking them to fit. Top with a third of the remaining cream and a third of the strawberries. Repeat twice more, ending with strawberries.
Melt the white chocolate with 2 tbsp cream in the microwave in 20 second bursts, stirring. Drizzle over.
Cover and refrigerate at least 6 hours and up to 2 days.`,
    [
      'topping: icing-sugar-starch 15, strawberry 907',
      'cheese-cream: cream-36 716, icing-sugar-starch 90, ricotta 246, salt 0, vanilla-extract 10',
      'biscuit-layer: graham-rectangle 408',
      'topping: chocolate-white 85, cream-35 30',
    ],
  ],
  [
    "an old syllabub without a list, its lemon taken apart",
    `Everlasting syllabub, my great aunt's

Take a lemon and pare it thin as you can, put the parings with a glass of sherry and a spoonful of brandy in a basin the night before and leave it till morning. Strain it, stir in three ounces of sugar till it is gone, and the juice of the lemon. Grate a little nutmeg. Now pour in half a pint of double cream by degrees, beating all the while with a whisk until it stands in a soft peak on the whisk - no more or it will curdle. Fill six little glasses and let them stand in a cool place till wanted; they'll keep two days.`,
    [
      'whipped-cream: brandy-40 14, cream-48 284, lemon-juice 45, lemon-zest 5, nutmeg-ground 0, sherry-17 0, sugar-caster 85',
    ],
  ],
  [
    "a semifreddo with a praline that is divided",
    `PISTACHIO SEMIFREDDO WITH BURNT HONEY

For the base:
150g shelled pistachios, toasted
100g caster sugar
2 tbsp water

For the semifreddo:
5 egg yolks
2 eggs
120g honey
400ml double cream
100g pistachio paste
1/2 tsp flaky salt

To serve:
80g honey
1 tbsp lemon juice

1. Line a 900g loaf tin with cling film.
2. Make a praline: melt the caster sugar with the water over medium heat to a deep amber caramel, tip in the pistachios, pour on to parchment and leave to set hard, 20 mins. Chop roughly.
3. Bring the 120g honey to the boil in a small pan and cook to 118C.
4. Meanwhile whisk the yolks and eggs in a stand mixer until pale. With the mixer running, pour in the hot honey in a thin stream and whisk 8-10 minutes until thick and cool.
5. Fold the pistachio paste and salt into the egg mixture.
6. Whip the cream to soft peaks and fold in, a third first to loosen, then the rest. Fold through two thirds of the praline.
7. Pour into the tin, cover and freeze for at least 8 hours.
8. For the burnt honey, cook 80g honey in a pan till dark, 4 mins, take off the heat and add the lemon juice. Cool.
9. Move to the fridge 20 minutes before serving. Turn out, slice, pour over the burnt honey and scatter with the remaining praline.`,
    [
      'topping: pistachio 150, sugar-caster 100, water 30',
      'egg-foam: egg-whole 100, egg-yolk 85, honey 120, pistachio-paste 100, salt 3',
      'whipped-cream: cream-48 400',
      'set-filling:  <- egg-foam, topping, whipped-cream',
      'topping: honey 80, lemon-juice 15',
    ],
  ],
  [
    "headings within rows, shortened",
    `Raspberry white chocolate cheesecake (no bake)

BASE
250 g digestives
110 g butter melted
FILLING
500 g full fat cream cheese
100 g icing sugar
200 g white chocolate
300 ml double cream
1 tsp vanilla
TOPPING
200 g raspberries
25 g caster sugar
1 leaf gelatine

Method
Base - blitz biscuits, mix with butter, press into 20cm springform, chill 30 min.
Filling - melt chocolate, cool slightly. Beat cheese, icing sugar and vanilla. Whip cream to soft. Beat chocolate into cheese, then fold in the cream. Spread on base. Chill 6 h or o/n.
Topping - soak gelatine in cold water 5 min. Simmer 150 g of the raspberries with caster sugar 5 min, push through a sieve. Squeeze out gelatine, stir into hot puree. Cool to room temp, pour over set cheesecake. Decorate with the rest of the raspberries. Chill 1 h. Unmould w/ a hot cloth.`,
    [
      'pressed-base: butter-82 110, digestive 250',
      'chocolate-base: chocolate-white 200',
      'set-filling: cream-cheese-block 500, icing-sugar-starch 100, vanilla-extract 5 <- chocolate-base, whipped-cream',
      'whipped-cream: cream-48 300',
      'fruit-base: gelatin-leaf-gold 2, raspberry 150, sugar-caster 25',
      'topping: raspberry 50',
    ],
  ],
  [
    "a trifle told in small letters, amounts behind their names",
    `okay so the trifle for sunday, it's for 12 in the big glass bowl. so first i make a jelly, that's a packet of raspberry jelly but i only use 400 mil of water so it's firmer, and i put the frozen raspberries in, about 300 grams, and it goes over the sponge, which is a bought madeira cake cut up, i don't know, 250 grams, with 4 tablespoons of sherry. that goes in the fridge two hours. then custard, half a litre of milk and 4 yolks and 50 g of sugar and 30 g of custard powder, you cook it till it's thick and then let it get cold with film on the top. custard on the jelly. then about 400 ml of double cream, whipped soft with a spoon of icing sugar, on top, and some toasted almonds, a handful. overnight is better.`,
    [
      'fruit-base: gelatin-dessert 85, raspberry 300, water 400',
      'biscuit-layer: sponge-cake 250',
      'soak: sherry-17 60',
      'custard: custard-powder 30, egg-yolk 68, milk-whole 517, sugar-caster 50',
      'whipped-cream: cream-48 400, icing-sugar-starch 8',
      'topping: almond-flaked 40',
    ],
  ],
  [
    "a table with a column of parts",
    `Tarta de merengue y nata / Hazelnut meringue cake with coffee cream
Yield: one 23 cm cake, 10 slices

| Component | Ingredient | Quantity |
|---|---|---|
| Meringue | egg whites | 180 g |
| | caster sugar | 300 g |
| | ground hazelnuts, roasted | 150 g |
| | cornflour | 15 g |
| | white wine vinegar | 5 g |
| Coffee cream | whipping cream 36% | 450 g |
| | mascarpone | 150 g |
| | instant espresso | 8 g |
| | icing sugar | 45 g |
| Finish | cocoa powder | 5 g |

Whisk whites to soft peak, add sugar gradually and whisk 5 min to stiff gloss. Fold in hazelnuts, cornflour and vinegar. Spread in two 23 cm discs. Bake 160 °C 50 min. Cool in the oven, door ajar.
Dissolve espresso in 20 g hot water; cool. Whip cream, mascarpone, sugar and coffee to medium peaks.
Sandwich discs with two thirds of the cream; rosettes with the rest. Dust with cocoa. Chill 4 h before cutting.`,
    [
      'meringue: corn-starch 15, egg-white 180, hazelnut-toasted 150, sugar-caster 300, vinegar-white 5',
      'cheese-cream: cream-36 450, espresso-powder 8, icing-sugar-starch 45, mascarpone 150',
      'topping: cocoa-powder-22 5',
    ],
  ],
  [
    "amounts behind a dash, a garnish without any",
    `Mango Mousse Cups – eggless

Ingredients
Mango pulp - 1 1/2 cups (from 2 ripe mangoes)
Fresh cream (chilled) - 1 cup
Condensed milk - 1/3 cup
Agar agar powder - 1 tsp
Water - 1/4 cup
Lemon juice - 1 tsp
Cardamom powder - a pinch
Mango cubes and mint to garnish

Instructions
* Blend the mango pulp with the condensed milk, lemon juice and cardamom until smooth.
* Sprinkle agar over the water in a pan, bring to a boil and simmer 2 mins stirring constantly till clear.
* Pour hot agar into the mango mix and whisk quickly. Let it cool till just warm - do not let it set.
* Beat the chilled cream with an electric beater to soft peaks.
* Fold the cream in to the mango mixture in two additions.
* Spoon in 6 cups and refrigerate for 2-3 hrs till set.
* Garnish with mango cubes and mint leaves.`,
    [
      'set-filling: agar 2, cardamom-ground 0, condensed-milk 102, lemon-juice 5, mango-puree 375, water 59 <- whipped-cream',
      'whipped-cream: cream-35 239',
      'topping: mango 1, rosemary 1',
    ],
  ],
  [
    "the shop's own notes, one word a step",
    `Tiramisù (the way we do it at the shop), 1 full gastro tray 53x32 cm, 24 portions

18 yolks
360 g sugar
120 g water
1500 g mascarpone
900 g cream 35
72 savoiardi
900 ml espresso
100 g sugar
150 ml marsala
cocoa

Make the syrup: espresso hot, 100 g sugar into it, marsala when cold.
Boil 360 g sugar + the water to 121; yolks in the machine on high; pour syrup on yolks; whip to cold (pâte à bombe).
Loosen mascarpone with a bit of the bombe, then all of it.
Whip cream to soft peak, fold.
Dip 36 savoiardi 2 sec each side, lay. Half the cream. Again. Level with palette knife.
24h fridge. Cocoa just before it goes out.`,
    [
      'soak: coffee-espresso 913, marsala-18 155, sugar-caster 100',
      'egg-foam: egg-yolk 306, sugar-caster 360, water 120',
      'set-filling: mascarpone 1500 <- egg-foam, whipped-cream',
      'whipped-cream: cream-35 900',
      'biscuit-layer: ladyfinger 576',
      'topping: cocoa-powder-22 0',
    ],
  ],
  [
    "bullets under headings, juice of a counted half",
    `Blackberry & Bay Fool Meringues
Serves 6
Hands-on 40 min, plus cooling

For the meringues
• 3 large egg whites (about 105g)
• 175g golden caster sugar
• 1 tsp cornflour
• ½ tsp cider vinegar

For the compote
• 300g blackberries, plus a few extra to decorate
• 50g caster sugar
• 2 bay leaves
• juice ½ lemon

For the fool
• 250ml double cream
• 150g thick Greek yogurt
• 2 tbsp honey

1. Heat oven to 120C/100C fan/gas ½. Line a large baking sheet with parchment.
2. Whisk the egg whites in a clean bowl with an electric whisk until they form stiff peaks. Add the sugar, 1 tbsp at a time, whisking well between each addition, until thick and glossy. Whisk in the cornflour and vinegar.
3. Spoon 6 nests onto the sheet, making a dip in each with the back of the spoon. Bake for 1 hr 15 mins, then turn the oven off and leave inside until cold.
4. Tip the blackberries, sugar, bay and lemon juice into a pan. Simmer gently for 8 mins until jammy but with some whole berries. Discard the bay and leave to cool completely.
5. Softly whip the cream with the honey, then fold in the yogurt. Ripple through half of the compote.
6. Fill the meringues with the fool and top with the remaining compote and extra blackberries. Serve at once.`,
    [
      'meringue: corn-starch 3, egg-white 105, sugar-caster 175, vinegar-white 3',
      'fruit-base: blackberry 300, lemon-juice 23, rosemary 2, sugar-caster 50',
      'whipped-cream: cream-48 250, honey 43',
      'set-filling: greek-yoghurt-10 150 <- fruit-base, whipped-cream',
    ],
  ],
  [
    "chef's shorthand with half the sugar",
    `RECIPE CARD - Chocolate orange marquise
yield 1 terrine 1.2 L (12 slices)
250g dark choc 70%
125g butter, soft
60g cocoa
4 yolks
150g caster
300ml double cream
zest 2 oranges
30ml orange liqueur

melt choc, cool to 35. cream butter + half the sugar til white, beat in cocoa. whisk yolks + rest of sugar til thick & pale. stir choc into butter. fold in yolks, zest, liqueur. whip cream soft, fold in. pour in lined terrine. 6 hr fridge min. slice w hot knife.`,
    [
      'chocolate-base: chocolate-dark-70 250',
      'set-filling: butter-82 125, cocoa-powder-22 60, orange-liqueur-40 31, orange-zest 16, sugar-caster 75 <- chocolate-base, egg-foam, whipped-cream',
      'egg-foam: egg-yolk 68, sugar-caster 75',
      'whipped-cream: cream-48 300',
    ],
  ],
  [
    "lists within rows, stuff and things",
    `Key Lime Pie in a jar (makes 6 half-pint jars)

Crust: 1 1/4 cups graham cracker crumbs, 5 tbsp melted butter, 2 tbsp sugar, pinch salt
Filling: one 14-oz can sweetened condensed milk, 4 oz cream cheese, 1/2 c. key lime juice, 2 tsp zest
Topping: 1 c. heavy cream, 2 Tbsp powdered sugar, 1/2 tsp vanilla

Stir together crust stuff, bake on a sheet pan at 350 for 10 minutes, cool & break up.
Beat cream cheese till smooth, add condensed milk, then juice and zest. It'll thicken as it sits.
Whip the cream w/ powdered sugar & vanilla to medium peaks. Fold 1/2 of it into filling.
Layer: 2 Tbsp crumbs, 1/4 cup filling, repeat. Pipe remaining cream on top right before serving. Chill 3 hrs first.`,
    [
      'pressed-base: butter-82 71, graham-rectangle 125, salt 0, sugar-caster 25',
      'set-filling: condensed-milk 397, cream-cheese-block 113, lime-juice 122, lime-zest 4 <- whipped-cream',
      'whipped-cream: cream-36 239, icing-sugar-starch 15, vanilla-extract 2',
    ],
  ],
  [
    "a panna cotta with its sauce beside",
    `Coffee-Cardamom Panna Cotta with Whipped Jaggery Cream

Makes: 8 (4-ounce) ramekins

Panna cotta
  2 1/4 tsp (1 packet) unflavored powdered gelatin
  3 tbsp cold water
  2 cups heavy cream
  1 cup whole milk
  1/2 cup sugar
  6 green cardamom pods, crushed
  2 tbsp instant espresso powder

Cream
  1 cup heavy cream
  3 tbsp dark brown sugar
  1/8 tsp kosher salt

In a small bowl, sprinkle the gelatin over the water and let it stand until softened, about 5 minutes.
Combine cream, milk, sugar and cardamom in a medium saucepan over medium heat; bring just to a simmer, stirring, remove from heat, cover and let steep 20 minutes. Rewarm until steaming; whisk in the espresso powder and gelatin until completely dissolved. Strain through a fine-mesh sieve into a large measuring cup.
Divide among the ramekins. Refrigerate until set, at least 4 hours or up to 2 days.
For the cream, whisk the cream, brown sugar and salt to soft peaks. Run a thin knife around the edge of each panna cotta, dip the bottoms in hot water 5 seconds and invert onto plates. Top with a dollop of the cream.`,
    [
      'set-filling: cardamom-pod 1, cream-36 477, espresso-powder 8, gelatin-powder-225 7, milk-whole 244, sugar-caster 100, water 44',
      'whipped-cream: cream-36 239, muscovado 40, salt 1',
    ],
  ],
  [
    "told with second thoughts",
    `Right, so my lemon icebox thing. Get yourself 600 mil of double cream, couple of tablespoons icing sugar, whip that till it's just holding. Then you've got a jar of lemon curd, about 320 grams, and you fold nearly all of it through, save a couple of spoons. Ginger nuts, two packets, 400 grams all in, dunk em quick in milk, maybe 150 mil. Line a two pound loaf tin with film, cream, biscuits, cream, biscuits till you run out, end on biscuits. Cling over, weight on it, fridge overnight. Turn it out, loosen the rest of the curd with a bit of lemon juice and dribble it down the sides. Eight decent slices.`,
    [
      'whipped-cream: cream-48 600, icing-sugar-starch 15, lemon-curd 288',
      'biscuit-layer: ginger-thin 400',
      'soak: milk-whole 155',
      'topping: lemon-curd 32',
      'topping: lemon-juice 0',
    ],
  ],
  [
    "a roulade",
    `White Chocolate & Passionfruit Roulade with Mascarpone Cream

Ingredients (serves 10):

Sponge: 5 large eggs, 150g caster sugar, 150g plain flour, 1tsp vanilla
Filling: 250g mascarpone, 200ml whipping cream, 60g icing sugar, pulp of 6 passionfruit
Ganache: 150g white chocolate, 75ml double cream

Directions:

Preheat the oven to 200C. Line a 33 x 23cm swiss roll tin.
Whisk eggs and caster sugar in a stand mixer for 8 minutes until tripled in volume and pale. Sift over the flour in three additions, folding with a large metal spoon; add vanilla. Pour into the tin and bake 10-12 minutes. Turn out onto a sugared sheet of baking paper, roll up and leave to cool.
Beat the mascarpone with the icing sugar, pour in the whipping cream and whisk to medium peaks. Ripple through the passionfruit.
Unroll the sponge, spread with the filling and re-roll. Chill 1 hour.
Heat the double cream to just under the boil, pour over the chopped white chocolate, leave 2 min, stir until smooth. Cool until thick enough to spread, about 30 minutes. Spread over the roulade. Slice into 10.`,
    [
      'biscuit-layer: egg-whole 250, sugar-caster 150, vanilla-extract 5, wheat-flour 150',
      'cheese-cream: cream-35 202, icing-sugar-starch 60, mascarpone 250, passion-fruit 78',
      'chocolate-base: chocolate-white 150, cream-48 75',
    ],
  ],
  [
    "a pudding with its top kept back",
    `Dulce de leche & banana "icebox" pudding
(for a 9 x 13 dish / about 12 people)

You'll need:
2 boxes Maria-style cookies (7 oz each)
1 can dulce de leche (13.4 oz)
1 pkg (8 oz) cream cheese
2½ cups heavy cream
½ cup powdered sugar
4 bananas
1 cup whole milk + 2 Tbsp dark rum for dipping
Cinnamon

Do this:
1) Beat cream cheese & half the dulce de leche till smooth.
2) In another bowl whip cream + sugar to soft peaks. Fold into cheese mix. Save out 1 cup for the top.
3) Mix milk & rum. Dip cookies quickly, layer in dish.
4) Spread 1/3 of filling, sliced bananas, drizzle w/ warmed dulce de leche. Repeat 2x more, last layer cookies.
5) Top w/ the reserved filling, dust w/ cinnamon. Fridge 8 hrs or overnight.`,
    [
      'set-filling: caramel-sauce 190, cream-cheese-block 227 <- whipped-cream',
      'whipped-cream: cream-36 597, icing-sugar-starch 60',
      'crown:  <- set-filling',
      'soak: milk-whole 244, rum-40 28',
      'biscuit-layer: shortbread 397',
      'topping: banana 460',
      'topping: caramel-sauce 190',
      'topping: cinnamon-ground 0',
    ],
  ],
  [
    "a bavarois of caramel, two creams in one list",
    `Bavarois au caramel

Pour 8 personnes - moule 1,2 l

Sugar 120 g
Water 30 g
Cream 35% (hot) 150 g
Milk 250 g
Egg yolks 80 g
Gelatine leaves 8 g
Cream 35% 350 g
Salt 2 g

Cook the sugar and water to a dark caramel. Deglaze with the hot cream off the heat, add the milk and salt and bring back to the boil to dissolve. Pour a third over the yolks, return to the pan and cook to 83 °C. Off the heat, add the soaked gelatine and pass through a sieve. Cool over ice to 22 °C, stirring. Whip the 350 g cream to soft peaks and fold in. Pour into the mould; refrigerate 6 hours. Dip in hot water for 5 seconds to unmould.`,
    [
      'custard: cream-35 150, egg-yolk 80, gelatin-leaf-gold 8, milk-whole 250, salt 2, sugar-caster 120, water 30',
      'whipped-cream: cream-35 350',
      'set-filling:  <- custard, whipped-cream',
    ],
  ],
  [
    "oven degrees that stand alone",
    `My mum's pavlova with lemon cream - she'd never measure but here goes

4 egg whites, room temp
8 oz caster sugar
1 dessertspoon cornflour
1 tsp vinegar

half pint double cream
3 tblsp lemon curd
raspberries, as many as you like

oven to 150. whisk whites till stiff, sugar in a dessertspoon at a time, keep whisking till you can hold the bowl over your head. fold cornflour and vinegar in. pile onto baking paper in a 9 inch circle. straight into the oven, turn it down to 120, an hour and a half. switch off and leave it in overnight.
whip cream - not too stiff. swirl lemon curd through it. pile on the pav, raspberries on top. eat within the hour.`,
    [
      'meringue: corn-starch 6, egg-white 132, sugar-caster 227, vinegar-white 6',
      'whipped-cream: cream-48 284, lemon-curd 68',
      'topping: raspberry 0',
    ],
  ],
  [
    "an entremets with a mirror",
    `Hazelnut gianduja mousse cake, entremets ring 18 cm x 4.5 cm

Feuilletine base: 60 g milk chocolate 35%, 90 g hazelnut praline paste, 60 g feuilletine.
Mousse: 160 g gianduja, 90 g whole milk, 1.5 sheets gelatine (gold), 260 g cream 35%.
Mirror: 100 g glucose syrup, 100 g sugar, 50 g water, 70 g sweetened condensed milk, 100 g milk chocolate, 6 g gelatine.

1. Melt the chocolate with the praline paste to 40 °C, fold in the feuilletine, press into the ring. Freeze 20 minutes.
2. Soak the gelatine. Bring the milk to the boil, dissolve the gelatine in it, pour over the chopped gianduja, emulsify with a hand blender. At 30 °C fold in the cream whipped to a soft peak.
3. Pour onto the base, smooth, freeze overnight.
4. For the mirror boil glucose, sugar and water to 103 °C, take off the heat, add condensed milk and the soaked gelatine, pour over chocolate and blend without air. Rest 12 h in the fridge. Warm to 33 °C, pour over the frozen cake.
5. Thaw 6 h in the fridge before serving; 10 portions.`,
    [
      'pressed-base: chocolate-milk-35 60, feuilletine 60, praline-paste 90',
      'chocolate-base: gelatin-leaf-gold 3, gianduja 160, milk-whole 90',
      'whipped-cream: cream-35 260',
      'set-filling:  <- chocolate-base, whipped-cream',
      'chocolate-base: chocolate-milk-35 100, condensed-milk 70, gelatin-leaf-gold 6, glucose-syrup-42 100, sugar-caster 100, water 50',
    ],
  ],
  [
    "a semifreddo of two foams, coffee dissolved in water",
    `No-Churn Coffee Toffee Semifreddo

Yield: One 9x5-inch loaf, 8 servings | Active: 35 min | Total: 9 hr

INGREDIENTS
4 large eggs, separated
3/4 cup (150g) granulated sugar, divided
2 tablespoons instant espresso powder dissolved in 1 tablespoon hot water
1 1/2 cups (360ml) cold heavy cream
1/4 teaspoon cream of tartar
1 cup chopped chocolate-covered toffee bars (about 5 oz), plus extra for garnish
Pinch of kosher salt

DIRECTIONS
1. Line a 9x5-inch loaf pan with plastic wrap, leaving a 3-inch overhang on all sides.
2. Fill a medium saucepan with 1 inch of water and bring to a simmer. In a large heatproof bowl, whisk the egg yolks, 1/2 cup of the sugar, the espresso mixture and salt. Set over the simmering water and whisk constantly until thick and the temperature reaches 160°F, 5 to 6 minutes. Remove from the heat and beat with a hand mixer on high until cool and tripled in volume, about 5 minutes.
3. In a clean bowl, beat the egg whites with the cream of tartar on medium until foamy. Gradually add the remaining 1/4 cup sugar and beat to stiff, glossy peaks.
4. In another bowl, beat the cream to medium peaks.
5. Fold one-third of the whites into the yolk mixture, then fold in the remaining whites. Fold in the whipped cream and toffee.
6. Scrape into the prepared pan, smooth the top and fold the overhang over. Freeze at least 8 hours or up to 3 days.
7. To serve, let stand 5 minutes, unmold, peel off the plastic, sprinkle with extra toffee and slice.`,
    [
      'egg-foam: egg-yolk 68, espresso-powder 8, salt 0, sugar-granulated 100, water 15',
      'egg-foam: cream-of-tartar 1, egg-white 132, sugar-granulated 50',
      'whipped-cream: cream-36 358',
      'set-filling: honeycomb-chocolate 142 <- egg-foam, egg-foam, whipped-cream',
    ],
  ],
  [
    "a fool with two bowls of fruit and custard",
    `Gooseberry Fool (for eight)

Top and tail a pound and a half of gooseberries and put them in a saucepan with six ounces of sugar, an ounce of butter and a head of elderflower tied in muslin. Cover and cook very gently for ten minutes until they pop. Remove the elderflower, crush with a fork - not too smooth - and leave to get quite cold. Taste for sugar. Make a proper custard: bring half a pint of single cream to the boil with a split vanilla pod, pour it on to three egg yolks beaten with an ounce of sugar and a teaspoon of cornflour, return to the pan and stir over a low heat until it coats the spoon. Strain and cool, stirring now and then. Whip half a pint of double cream to a floppy stage. Fold custard and fruit loosely together, then fold in the cream so that it stays marbled. Spoon into eight glasses and chill for two hours. Serve with shortbread.`,
    [
      'fruit-base: butter-82 28, gooseberry 680, sugar-caster 170',
      'custard: corn-starch 3, cream-18 290, egg-yolk 51, sugar-caster 28, vanilla-pod 3',
      'whipped-cream: cream-48 284',
      'set-filling:  <- custard, fruit-base, whipped-cream',
    ],
  ],
  [
    "cups of ricotta, the cream folded in with more",
    `Cannoli cream cups (makes 12)

- 2 lb whole milk ricotta, drained overnight in cheesecloth
- 1 1/4 c powdered sugar
- 1/2 tsp cinnamon
- 1 tsp vanilla
- zest of 1 orange
- 3/4 c mini chocolate chips
- 1 c heavy cream
- 1/3 c chopped candied orange peel
- 12 sugar cones, crushed (about 5 oz)
- 3 T butter, melted
- pistachios for top

Toss cones + butter, toast at 325 F 8 min, cool.
Push drained ricotta thru a fine sieve. Stir in sugar, cinnamon, vanilla, zest - don't overbeat or it goes loose.
Whip cream stiff & fold in w/ chips & peel.
Crumbs in bottom of 12 4-oz cups, pipe cream, chill 1-4 hrs, pistachios right before serving.`,
    [
      'pressed-base: butter-82 42, wafer-roll 142',
      'set-filling: candied-peel 50, chocolate-chips 128, cinnamon-ground 1, icing-sugar-starch 150, orange-zest 8, ricotta 907, vanilla-extract 5 <- whipped-cream',
      'whipped-cream: cream-36 239',
      'topping: pistachio 0',
    ],
  ],
  [
    "bare numbers under names within rows, minutes by a prime",
    `Lemon Meringue Entremet Glass
TPT: 10 verrines of 120 ml

Lemon cream: lemon juice 120, zest 2 lemons, eggs 150, sugar 140, butter 180, gelatin leaf 3 g
Italian meringue: egg white 100, sugar 180, water 60
Whipped cream: cream 35% 200, icing sugar 15
Crumble: butter 60, flour 60, sugar 60, almond powder 60

Crumble - rub together, chill 30', bake 160C 15-18'. Cool.
Lemon cream - cook juice, zest, eggs, sugar to 84C, sieve onto soaked gelatin, cool to 40C, blend in butter in cubes. Chill 4h.
Whip cream + icing soft, fold into half the lemon cream.
Meringue - cook sugar+water to 118, pour on whites at soft peak, whip till 35C.
Assembly: crumble 20g, lemon cream 25g, mousse 40g, pipe meringue, torch.`,
    [
      'topping: almond-ground 60, butter-82 60, sugar-caster 60, wheat-flour 60',
      'custard: butter-82 180, egg-whole 150, gelatin-leaf-gold 3, lemon-juice 120, lemon-zest 10, sugar-caster 140',
      'whipped-cream: cream-35 200, icing-sugar-starch 15',
      'set-filling:  <- custard, whipped-cream',
      'egg-foam: egg-white 100, sugar-caster 180, water 60',
    ],
  ],
  [
    "a trifle of a bought cake, part of its cream kept back",
    `Raspberry Ripple Angel Food Trifle

Ingredients:
1 (10-inch) angel food cake, cut into 1-inch cubes
1 pint raspberries
1/4 cup seedless raspberry jam
2 tablespoons raspberry liqueur (optional)
1 (3.4-oz) package instant vanilla pudding mix
2 cups cold milk
8 oz mascarpone cheese, softened
2 cups heavy cream
1/3 cup confectioners' sugar
1 tsp almond extract
1/4 cup toasted sliced almonds

Instructions:
Whisk pudding mix and milk in a bowl for 2 minutes; let stand until thickened, about 5 minutes. Beat in the mascarpone until smooth.
Beat the cream, confectioners' sugar and almond extract until soft peaks form; set aside 1 1/2 cups for topping. Fold the remaining whipped cream into the pudding.
Warm the jam with the liqueur until pourable, toss half the raspberries in it.
In a 3-quart trifle bowl, layer a third of the cake, a third of the raspberry mixture and a third of the pudding mixture. Repeat layers twice. Spread the reserved whipped cream over the top. Cover and chill 4 hours or overnight.
Garnish with remaining raspberries and the almonds just before serving.`,
    [
      'set-filling: instant-pudding-powder 96, mascarpone 227, milk-whole 489 <- whipped-cream',
      'whipped-cream: almond-extract 5, cream-36 477, icing-sugar-starch 40',
      'crown:  <- whipped-cream',
      'fruit-base: fruit-liqueur-20 32, jam 80, raspberry 123',
      'biscuit-layer: sponge-cake 300',
      'topping: almond-flaked 23, raspberry 123',
    ],
  ],
  [
    "names before amounts, a purée loosened",
    `MONT BLANC POTS
Rezept für 6 Gläser

Meringue nests 6 small, broken
Chestnut purée, unsweetened 250 g
Icing sugar 60 g
Dark rum 20 ml
Vanilla paste 1 tsp
Double cream 300 ml
Creme fraiche 100 g
Dark chocolate 30 g

Beat the purée with 40 g of the sugar, the rum and vanilla until smooth. Loosen with 50 ml of the cream. Whip the rest of the cream with the crème fraîche and remaining sugar until it just holds.
Layer meringue, purée and cream in the glasses, finishing with cream. Chill for up to 2 hours. Grate the chocolate over.`,
    [
      'fruit-base: chestnut-puree 250, cream-48 50, icing-sugar-starch 40, rum-40 19, vanilla-paste 6',
      'whipped-cream: cream-48 250, creme-fraiche-35 100, icing-sugar-starch 20',
      'biscuit-layer: meringue-shell 84',
      'topping: chocolate-dark-64 30',
    ],
  ],
  [
    "a roll with two creams of one name",
    `Chocolate Cream Roll-ups / Swiss roll "buche"

Chocolate sponge
4 eggs
100g sugar
65g flour
35g cocoa

Filling
350 ml cream
35g sugar
2 sheets gelatin (bronze)

Glaze
120g dark chocolate 55%
100 ml cream
10g butter

For the sponge beat eggs and sugar over a bain marie to 45C then with the mixer until cold and thick, 8 min. Sift in flour and cocoa and fold. Spread on a lined 40x30 tray, bake 200C 8 minutes. Turn onto a cloth, cover with a damp cloth, cool.
Filling: soften the gelatin, melt it with a spoonful of the cream. Whip the rest with the sugar to soft, pour in the gelatin whisking, go on to medium peaks.
Spread over the sponge leaving 2 cm free, roll tightly, wrap, 3 hours in the fridge.
Boil the cream for the glaze, pour over the chocolate, stir from the middle, add butter. At 32C pour over the roll set on a rack. Back in the fridge 30 min. Trim the ends, 10 slices.`,
    [
      'biscuit-layer: cocoa-powder-22 35, egg-whole 200, sugar-caster 100, wheat-flour 65',
      'whipped-cream: cream-35 15, cream-35 338, gelatin-leaf-bronze 7, sugar-caster 35',
      'chocolate-base: butter-82 10, chocolate-dark-55 120, cream-35 101',
    ],
  ],
  [
    "bars, zest and juice of one fruit in a row",
    `Blueberry lemon icebox "cheesecake" bars

Crust
* 12 full sheets graham crackers (about 6.5 oz)
* 6 T unsalted butter, melted and cooled slightly
* 2 T packed light brown sugar

Filling
* 12 oz cream cheese, room temp
* 1/2 cup + 2 T granulated sugar
* 1 T finely grated lemon zest plus 3 T juice (from 2 lemons)
* 1 tsp vanilla
* 1 1/4 cups cold heavy cream

Topping
* 2 c blueberries (about 10 oz), divided
* 1/4 c sugar
* 1 T cornstarch mixed with 1 T water
* 1 tsp lemon juice

Line an 8" square pan with foil. Pulse crackers in processor to fine crumbs; add butter and brown sugar and pulse to combine. Press firmly into pan. Freeze while you make the filling.
Beat cream cheese, granulated sugar, zest, lemon juice and vanilla in a large bowl until light, 3 min. Whip cream in a second bowl to stiff peaks; fold into cheese mixture in 2 additions. Spread over crust. Refrigerate till firm, 6 hr.
Simmer 1 1/2 c of the blueberries, sugar and lemon juice in a small saucepan until bursting, 5 min. Stir in the cornstarch slurry and boil 1 min. Off heat, stir in remaining blueberries; cool completely. Spread on bars. Cut in 16.`,
    [
      'pressed-base: butter-82 85, graham-rectangle 184, sugar-light-brown 27',
      'set-filling: cream-cheese-block 340, lemon-juice 46, lemon-zest 6, sugar-granulated 125, vanilla-extract 5 <- whipped-cream',
      'whipped-cream: cream-36 298',
      'fruit-base: blueberry 222, blueberry 61, corn-starch 8, lemon-juice 5, sugar-caster 50, water 15',
    ],
  ],
  [
    "a tart, its custard spread to cool",
    `Crème diplomate tart filling & strawberries
Pastry cream: 500 g milk, 100 g sugar, 100 g yolks (5), 45 g cornstarch, 1 vanilla bean, 50 g butter, 4 g gelatin sheets
300 g whipping cream
Baked tart shell 24 cm
500 g strawberries
Apricot jam to glaze

Infuse the milk with the vanilla for 15 minutes. Whisk the yolks, sugar and cornstarch. Pour over the hot milk, return to pan and boil for 2 minutes whisking. Off the heat add the bloomed gelatin and the butter. Spread on a tray, film at contact, cool to 20 C quickly. Whisk smooth. Whip the cream to medium peaks and fold into the pastry cream in three goes. Fill the tart shell, top with halved strawberries, glaze. Keep cold, serve within 6 hours.`,
    [
      'custard: butter-82 50, corn-starch 45, egg-yolk 100, gelatin-leaf-gold 4, milk-whole 500, sugar-caster 100, vanilla-pod 3',
      'whipped-cream: cream-35 300',
      'set-filling:  <- custard, whipped-cream',
      'biscuit-layer: pie-crust 200',
      'topping: strawberry 500',
      'topping: jam 1',
    ],
  ],
  [
    "a semifreddo of zabaglione in a lined tin",
    `Zabaglione Semifreddo with Marsala & Amaretti
Serves 8-10

8 large egg yolks
200g caster sugar
150ml dry Marsala
500ml double cream
150g amaretti biscuits, crushed, plus extra to serve
seeds from 1 vanilla pod
50g dark chocolate, chopped

Put the egg yolks, 150g of the sugar and the Marsala in a large heatproof bowl over a pan of barely simmering water. Whisk with electric beaters for 8-10 mins, until the mixture has tripled in volume, holds a ribbon trail and reads 75C on a thermometer. Take off the heat and keep whisking, sitting the bowl in iced water, until cool, another 5 mins.
Whip the cream with the remaining sugar and vanilla seeds until it just holds its shape. Fold into the zabaglione in three batches, then fold in the crushed amaretti and chocolate.
Pour into a 1.5 litre loaf tin lined with baking parchment. Freeze overnight.
Dip the tin briefly in hot water, turn out, and scatter with extra amaretti. Leave in the fridge for 20 mins before slicing.`,
    [
      'egg-foam: egg-yolk 136, marsala-18 155, sugar-caster 150',
      'whipped-cream: cream-48 500, sugar-caster 50, vanilla-pod 3',
      'set-filling: amaretti 150, chocolate-dark-64 50 <- egg-foam, whipped-cream',
    ],
  ],
  [
    "a slab told with bare numbers",
    `Mum's tunis-style slab for the stall: makes 24 squares. You make a madeira first, 225 butter, 225 sugar, 4 eggs, 225 self raising, juice of a lemon, baked in a 12 by 9 at gas 4 for 40 minutes. Cold, you slice it level. Then a buttercream-ish thing - 250 g soft butter beaten for 5 minutes with 300 g icing sugar, then 200 g cold cream cheese in lumps, just until it's smooth. Spread that on, pop it in the fridge an hour. Melt 300 g dark chocolate with 100 ml cream and pour on top. Let it set, cut with a hot knife.`,
    [
      'biscuit-layer: butter-82 225, egg-whole 200, lemon-juice 45, sugar-caster 225, wheat-flour 225',
      'cheese-cream: butter-82 250, cream-cheese-block 200, icing-sugar-starch 300',
      'chocolate-base: chocolate-dark-64 300, cream-35 101',
    ],
  ],
  [
    "a trifle whose custard is chilled first",
    `Classic Banana Cream Trifle
Prep: 45 mins | Chill: 4 hrs | Serves: 10-12

Pastry Cream:
2 cups whole milk
1/2 cup granulated sugar
1/4 cup cornstarch
4 egg yolks
2 tablespoons unsalted butter
2 teaspoons vanilla bean paste
Pinch salt

Whipped Cream:
2 cups heavy cream
1/4 cup confectioners' sugar

For Assembly:
1 box (11 oz) vanilla wafers
5 ripe bananas, sliced
1/4 cup toasted pecans, chopped

1. Make the pastry cream: In a medium saucepan, heat the milk and half of the sugar until steaming. In a bowl, whisk together the egg yolks, remaining sugar, cornstarch and salt until pale. Slowly whisk half the hot milk into the yolks, then pour back into the saucepan. Cook over medium heat, whisking constantly, until thick and bubbling, 2-3 minutes. Off the heat, whisk in the butter and vanilla. Press plastic wrap on the surface and chill until cold, at least 2 hours.
2. Whip the cream with the confectioners' sugar to medium peaks. Fold a third of the whipped cream into the cold pastry cream.
3. Layer wafers, bananas, pastry cream and whipped cream in a trifle dish; repeat twice, finishing with whipped cream. Refrigerate at least 4 hours. Sprinkle with pecans before serving.`,
    [
      'custard: butter-82 28, corn-starch 30, egg-yolk 68, milk-whole 489, salt 0, sugar-granulated 50, sugar-granulated 50, vanilla-paste 13',
      'whipped-cream: cream-36 477, icing-sugar-starch 30',
      'set-filling:  <- custard, whipped-cream',
      'biscuit-layer: vanilla-wafer 312',
      'topping: banana 575',
      'topping: pecan 27',
    ],
  ],
  [
    "a mousse told in one paragraph, its chocolate by its percentage",
    `Quick Chocolate Mousse (serves 4)

Melt 150g dark chocolate (70%) with 50ml strong hot coffee. Beat in 3 egg yolks one at a time. Whisk 3 egg whites with 30g caster sugar to soft peaks, then fold in with a metal spoon, a third at a time. Whip 100ml double cream until it just holds and fold that in too. Divide between 4 glasses, cover and chill for at least 2 hours. Serve with a spoonful of creme fraiche and a dusting of cocoa.`,
    [
      'chocolate-base: chocolate-dark-70 150, coffee-brewed 50, egg-yolk 51',
      'egg-foam: egg-white 99, sugar-caster 30',
      'set-filling:  <- chocolate-base, egg-foam, whipped-cream',
      'whipped-cream: cream-48 100',
      'topping: creme-fraiche-35 15',
      'topping: cocoa-powder-22 0',
    ],
  ],
  [
    "for a crowd: so much of what was made ready, late before service",
    `ETON MESS FOR A CROWD

INGREDIENTS (40 people)
2 kg strawberries
200 g caster sugar
Juice of 2 lemons
3 litres whipping cream
300 g icing sugar
3 tbsp vanilla paste
30 meringue nests (about 14 g each)

METHOD
Hull the strawberries and chop. Blitz 600 g with the caster sugar and lemon juice to a sauce; sieve.
Crush the nests into big pieces - do not powder them.
In two batches whip the cream with icing sugar and vanilla until soft (it will stiffen as you fold).
No more than 30 minutes before service fold in the meringue and the chopped strawberries, ripple with half the sauce. Spoon into 40 cups (200 ml) and top with the rest of the sauce.`,
    [
      'fruit-base: lemon-juice 90, strawberry 600, sugar-caster 200',
      'whipped-cream: cream-35 3030, icing-sugar-starch 300, vanilla-paste 58',
      'set-filling: meringue-shell 420, strawberry 1400 <- fruit-base, whipped-cream',
    ],
  ],
  [
    "a pie whose parts are made by name, its cream folded in twice",
    `No-Bake Key Lime Icebox Pie

Yield: one 9-inch pie (8 slices)

INGREDIENTS
Crust
1 1/2 cups gingersnap crumbs (about 30 cookies)
6 tbsp unsalted butter, melted
2 tbsp light brown sugar
pinch of salt

Filling
1 (14-ounce) can sweetened condensed milk
8 oz cream cheese, at room temperature
1/2 cup key lime juice (from about 20 key limes)
1 tbsp finely grated lime zest, plus more for garnish
1 cup cold heavy cream

Topping
3/4 cup heavy cream
2 tbsp powdered sugar
1/2 tsp vanilla

DIRECTIONS
1. Make the crust: Stir together the crumbs, butter, brown sugar, and salt until the mixture looks like wet sand. Press into the bottom and up the sides of a 9-inch pie plate. Freeze while you make the filling.
2. Make the filling: In a stand mixer fitted with the paddle, beat the cream cheese on medium until smooth, 2 minutes. Add the condensed milk in a slow stream, scraping down the bowl, then the lime juice and zest. It will thicken as the acid hits the milk.
3. In a clean bowl, whip the cream to medium-stiff peaks. Fold a third of it into the lime mixture to lighten it, then fold in the rest.
4. Scrape into the crust, smooth the top, and refrigerate until set, at least 6 hours and up to 2 days.
5. To finish, whip the topping cream with the powdered sugar and vanilla to soft peaks. Pile it in the middle of the pie, and shower with the extra zest. Cut with a hot knife.`,
    [
      'pressed-base: butter-82 85, ginger-thin 165, salt 0, sugar-light-brown 27',
      'set-filling: condensed-milk 397, cream-cheese-block 227, lime-juice 122, lime-zest 6 <- whipped-cream',
      'whipped-cream: cream-36 239',
      'whipped-cream: cream-36 179, icing-sugar-starch 15, vanilla-extract 2',
    ],
  ],
  [
    "a tiramisu told by what goes where, its biscuits counted afterwards",
    `So what I do for my tiramisu, I start with five eggs, separated. The yolks go in the mixer with a hundred grams of sugar and I let that run till it's really pale, like five minutes or so. Then 500 grams of mascarpone goes in, just on low until there's no lumps. In another bowl the whites with a little pinch of salt, stiff, and you fold those in in three goes. Coffee: I make about 300 ml, strong, and put two tablespoons of Marsala in there, let it cool down. Dip the savoiardi, one second each side, I use about 24 of them, and line a dish, it's 20 by 30. Half the cream, another layer of biscuits, rest of the cream. Overnight in the fridge. Cocoa on top just before you serve it, not before or it goes wet.`,
    [
      'egg-foam: egg-yolk 85, sugar-caster 100',
      'set-filling: mascarpone 500 <- egg-foam, egg-foam',
      'egg-foam: egg-white 165',
      'soak: coffee-brewed 300, marsala-18 30',
      'biscuit-layer: ladyfinger 192',
      'topping: cocoa-powder-22 0',
    ],
  ],
  [
    "lists that are called by letters in a column",
    `Crémeux-style coffee mousse in a glass   (10 x 120 ml)

A  milk            200 g
   coffee beans     40 g
B  egg yolks        70 g
   sugar            60 g
C  gelatin sheet    6 g
   milk chocolate  180 g
D  cream 35%       400 g

Infuse A 20 min at 80 C, strain, bring the milk back to 200 g.
Cook with B to 84 C. Add the soaked gelatin, pour over the chocolate, blend.
At 30 C fold in D, whipped soft.
Deposit 85 g per glass. Set 4 h at 4 C.`,
    [
      'custard: coffee-beans 40, egg-yolk 70, gelatin-leaf-gold 6, milk-whole 200, sugar-caster 60',
      'set-filling: chocolate-milk-35 180 <- custard, whipped-cream',
      'whipped-cream: cream-35 400',
    ],
  ],
  [
    "a trifle of packets and tins",
    `GRANNY'S SHERRY TRIFLE

1 packet trifle sponges (8)
3 tbsp raspberry jam
150ml sweet sherry
1 tin fruit cocktail, drained
1 pkt raspberry jelly
1 pint custard
1/2 pint double cream
Hundreds and thousands

Split the sponges, spread with jam and sandwich back together. Cut into fingers and put them in the bottom of a large glass bowl. Pour over the sherry and leave it to soak in for half an hour. Tip the fruit on top.
Make up the jelly with 3/4 pint of boiling water, let it go cold but not set, and pour over. Put in the fridge until set.
Make the custard, or use a carton, and when cold spoon over the jelly.
Whip the cream until it just holds and spread on top. Sprinkle with hundreds and thousands at the last minute so the colours don't run.`,
    [
      'topping: jam 72',
      'biscuit-layer: sponge-cake 300',
      'soak: sherry-17 150',
      'topping: fruit-cocktail 410',
      'fruit-base: gelatin-dessert 85, water 426',
      'set-filling: custard-ready 612',
      'whipped-cream: cream-48 284',
      'topping: sugar-strands 0',
    ],
  ],
  [
    "a nougatine that is folded in, a syrup poured over whites",
    `Frozen nougat parfait with candied fruit (nougat glacé)
For a 1.2 litre loaf tin, 10 slices

For the nougatine
100 g sugar
80 g flaked almonds, toasted

For the parfait
120 g honey
40 g sugar
120 g egg whites (about 4)
400 g whipping cream, 35 % fat
120 g candied fruit, chopped and soaked in 30 g orange liqueur
40 g pistachios

Method
Caramelise the sugar dry, stir in the almonds, pour onto a mat. When cold, crush.
Cook the honey and sugar to 121 °C. Start whisking the whites when it reaches 110 °C, then pour the syrup over them in a thin stream, whisking until cool.
Whip the cream to soft peaks.
Fold the cream in the Italian meringue with the nougatine, fruit and pistachios.
Fill the tin lined with film. Freeze at -18 °C at least 12 hours. Unmould, slice with a warm knife.`,
    [
      'topping: almond-flaked 80, sugar-caster 100',
      'egg-foam: egg-white 120, honey 120, sugar-caster 40',
      'whipped-cream: cream-35 400',
      'set-filling: candied-peel 120, orange-liqueur-40 30, pistachio 40 <- egg-foam, topping, whipped-cream',
    ],
  ],
  [
    "several things for the top in one row",
    `Chocolate Mousse (Makes 6)

This is the one everybody asks me for. You need really good chocolate here, and don't skip the coffee.

* 7 oz bittersweet chocolate (70%), chopped
* 1/4 cup strong hot coffee
* 3 large eggs, separated, room temp
* 1/4 cup + 1 Tbsp sugar, divided
* 1 cup heavy whipping cream
* 1 tsp vanilla
* flaky salt, shaved chocolate and more whipped cream, to serve

Melt chocolate with the coffee in a bowl set over barely simmering water; stir till smooth. Cool 10 min.
Whisk yolks one at a time into chocolate.
Beat whites until foamy, then add 1/4 cup sugar gradually; beat to stiff glossy peaks, about 4 minutes.
With the same beaters (no need to wash), whip cream, the remaining tablespoon of sugar and vanilla until soft peaks form.
Fold whites into chocolate in two additions, followed by the cream. Divide between six ramekins, cover and chill for at least 3 hours (up to 24). Let stand 15 minutes before serving with the toppings.`,
    [
      'chocolate-base: chocolate-dark-70 198, coffee-brewed 59, egg-yolk 51',
      'egg-foam: egg-white 99, sugar-caster 50',
      'whipped-cream: cream-36 239, sugar-caster 13, vanilla-extract 5',
      'set-filling:  <- chocolate-base, egg-foam, whipped-cream',
      'topping: salt 1',
      'topping: chocolate-dark-55 1',
      'topping: cream-35 1',
    ],
  ],
  [
    "a roulade in shortened words",
    `Pavlova roulade w/ lemon curd cream

5 egg whites
275g caster sugar
50g flaked almonds
FILLING
200ml double cream
150g lemon curd
100g Greek yog
raspberries 150g

Preheat oven 200C/180 fan/gas 6. Grease & line a 33x23cm swiss roll tin.
Whisk whites in clean bowl until v stiff. Add sugar 1 tsp at a time, whisking well between each. Should be v v stiff and glossy.
Spread into tin, sprinkle w/ almonds. Bake 8 mins then drop to 160C/140 fan/gas 3 and bake another 15 mins till golden & crisp.
Turn out onto parchment almond side down. Peel off paper. Cool 10 mins.
Whip cream, fold in curd and yog. Spread over meringue, scatter rasps. Roll up firmly from long end using paper. Chill 1 hr before serving in thick slices.`,
    [
      'meringue: egg-white 165, sugar-caster 275',
      'topping: almond-flaked 50',
      'whipped-cream: cream-48 200',
      'set-filling: greek-yoghurt-10 100, lemon-curd 150 <- whipped-cream',
      'topping: raspberry 150',
    ],
  ],
  [
    "a frosting in one paragraph, and how far it goes",
    `For the stabilized whipped cream frosting, bloom a teaspoon of unflavored gelatin in four teaspoons of cold water for about 5 minutes, then microwave it 10 seconds until it's clear. Let it cool but don't let it set. Beat a pint of cold heavy cream with a third of a cup of powdered sugar and a teaspoon of vanilla on medium-high until you can see the whisk leaving lines. With the mixer on low, drizzle in the gelatin, then go up to high to stiff peaks. It will frost one 8-inch layer cake or pipe 24 cupcakes and holds in the fridge for 3 days.`,
    [
      'whipped-cream: cream-36 477, gelatin-powder-225 3, icing-sugar-starch 40, vanilla-extract 5',
    ],
  ],
  [
    "a custard of which half takes the chocolate",
    `Zuppa inglese (my version)
serves 12

sponge (ready made) – 300 g
alchermes – 120 g
water – 80 g
--
milk – 1 L
yolks – 8
sugar – 220 g
cornstarch – 80 g
zest of 1 lemon
dark choc – 120 g
--
cream – 250 g
icing sugar – 25 g

1) Custard: heat the milk with the zest. Whisk yolks, sugar and starch, pour on the hot milk, cook to the boil and one minute more. Split in two; melt the chocolate into one half. Cover both with film on contact, cool.
2) Cut the sponge in slices of 1 cm. Mix alchermes and water, brush the slices.
3) Layer in a glass bowl: sponge, yellow custard, sponge, chocolate custard, sponge.
4) Leave in the fridge for a night. Before serving whip cream w icing sugar and pipe on top.`,
    [
      'custard: corn-starch 80, egg-yolk 136, lemon-zest 5, milk-whole 1033, sugar-caster 220',
      'set-filling: chocolate-dark-64 120 <- custard',
      'soak: spiced-liqueur-25 120, water 80',
      'biscuit-layer: genoise 300',
      'whipped-cream: cream-35 250, icing-sugar-starch 25',
    ],
  ],
  [
    "a mix that is prepared with its milk",
    `Cherry Yum Yum

3 cups graham cracker crumbs
1½ sticks butter, melted
1 (8 oz.) pkg. cream cheese
¾ cup sugar
2 envelopes dessert topping mix, prepared as directed with 1 cup cold milk
1 (21 oz.) can cherry pie filling

Mix crumbs and butter. Pat half into 9x13 pan. Cream cheese and sugar together until fluffy; fold in whipped topping. Spread half of cheese mixture over crumbs. Spoon on pie filling. Spread with remaining cheese mixture, and top with the rest of the crumbs. Refrigerate overnight. Serves 15.`,
    [
      'pressed-base: butter-82 170, graham-rectangle 300',
      'cheese-cream: cream-cheese-block 227, milk-whole 244, plant-topping-sweet 452, sugar-caster 150',
      'topping: cherry-in-syrup 595',
    ],
  ],
  [
    "two amounts of one cream in a row",
    `Earl Grey panna cotta with whipped white-chocolate ganache

Panna cotta:
- 500 ml cream (30%)
- 250 ml whole milk
- 80 g sugar
- 3 tsp loose Earl Grey (or 4 bags)
- 3½ leaves gold gelatine

Whipped ganache (day before):
- 150 g white chocolate
- 100 g + 200 g cream, 35 %
- 10 g glucose

Day before: bring 100 g of cream and the glucose to the boil, pour over the white chocolate, stir from the centre. Add the cold 200 g cream, blend, film, fridge overnight.
Next day: warm cream, milk, sugar and tea to 85 °C, infuse for 8 minutes, strain. Dissolve the squeezed gelatine in it. Cool to about 18 °C, pour into 8 glasses, set 3 hours.
Whip the ganache to medium peaks and pipe on each glass. Finish with a few bergamot zests.`,
    [
      'whipped-cream: chocolate-white 150, cream-35 100, cream-35 200, glucose-syrup-42 10',
      'set-filling: cream-30 506, gelatin-leaf-gold 7, milk-whole 258, sugar-caster 80, tea-leaves 6',
    ],
  ],
  [
    "a pie told in one breath",
    `Banoffee, the quick way: bash up 250 grams digestives, mix with 100 of melted butter, press it in a loose bottom 23 cm tin, fridge. Tin of caramel (397 g) over that. Three bananas sliced on top. Then 300 mls of double cream whipped with a spoonful of icing sugar and a teaspoon of instant coffee till it's floppy, pile it on, grate some chocolate over. That's it, an hour in the fridge.`,
    [
      'pressed-base: butter-82 100, digestive 250',
      'topping: caramel-sauce 397',
      'topping: banana 345',
      'whipped-cream: coffee-instant 1, cream-48 300, icing-sugar-starch 8',
      'topping: chocolate-dark-55 0',
    ],
  ],
  [
    "a third of a filling that takes the fruit",
    `Raspberry Semifreddo
Adapted for a nine by five loaf pan. Start a day ahead.

12 oz frozen raspberries, thawed
3/4 c sugar, plus 2 Tbs
1 Tbs lemon juice
4 egg yolks
1 whole egg
2 Tbs framboise, optional
1 3/4 c heavy cream
1/2 c chopped toasted hazelnuts

Purée the raspberries w/ 2 Tbs sugar and the lemon juice; strain, discarding seeds. You should have about 1 cup; reserve 1/4 cup for drizzling.
Set a metal bowl over simmering water. Whisk yolks, egg and 3/4 c sugar in it until thick and 165 degrees, 6 to 8 minutes. Take it off and beat with a mixer on high until cool and tripled, about 5 minutes.
Beat in framboise.
In a separate bowl whip cream to soft peaks. Fold whipped cream into egg mixture. Transfer a third of it to another bowl and fold in raspberry puree.
Layer: half of the plain, all the raspberry, then the remaining plain, sprinkling nuts between layers. Cover w/ plastic, freeze 8 hrs or overnight.
To serve, dip the pan briefly in hot water, invert, slice and drizzle w/ reserved purée.`,
    [
      'fruit-base: lemon-juice 15, raspberry 340, sugar-caster 25',
      'crown:  <- fruit-base',
      'egg-foam: egg-whole 50, egg-yolk 68, fruit-brandy-40 28, sugar-caster 150',
      'whipped-cream: cream-36 418',
      'set-filling:  <- egg-foam, whipped-cream',
      'set-filling:  <- fruit-base, set-filling',
      'topping: hazelnut-toasted 68',
    ],
  ],
  [
    "a chef's list that stands with its steps",
    `CAKE FILLING – MASCARPONE BUTTERCREAM (swiss meringue base)

Whites 150g / sugar 250g: bain-marie to 70°C then whip to cold, 10 min.
Butter 300g, soft (20°C): add bit by bit, paddle.
Mascarpone 250g, cold from fridge loosened w/ spatula: add last on low speed, 30 sec.
Vanilla paste 1 tsp. Salt 2g.
Use straight away: fills + coats one 20 cm cake 4 layers.`,
    [
      'buttercream: butter-82 300, egg-white 150, salt 2, sugar-caster 250, vanilla-paste 6',
      'set-filling: mascarpone 250 <- buttercream',
    ],
  ],
  [
    "pots told in sentences, amounts in brackets",
    `Honeycomb cheesecake pots

Serves four

For the base I crumble 120g ginger nuts in the bottom of the glasses and dot over 40g melted butter. The cream is 280g full fat cream cheese, 150 ml of double cream and 60 g of icing sugar, whisked together with the seeds of a vanilla pod until thick. I fold through 80g of chopped honeycomb and pipe it in. Another 30 g honeycomb and some caramel sauce (about 60 g) over each just before they go out. They need 2 hours in the fridge, no more than 4 or the honeycomb melts.`,
    [
      'topping: ginger-thin 120',
      'topping: butter-82 40',
      'cheese-cream: cream-48 150, cream-cheese-block 280, honeycomb 80, icing-sugar-starch 60, vanilla-pod 3',
      'topping: caramel-sauce 60, honeycomb 30',
    ],
  ],
  [
    "a marquise whose sugar is halved",
    `Dark chocolate marquise
14 slices, terrine 1.1 L

360 g dark chocolate 66 %
200 g soft butter
180 g caster sugar, halved
60 g cocoa powder
6 yolks
500 g double cream

Method:
- Melt chocolate over a bain-marie (50 °C) and leave to cool to 35 °C.
- Beat butter with half the sugar until pale and fluffy, beat in the cocoa.
- Whisk yolks with the other half of the sugar for 6 min until thick.
- Semi-whip the cream.
- Stir chocolate into butter, then yolks, then fold in the cream.
- Fill lined terrine, tap, cover. 6 h fridge.
- Slice w/ hot knife; serve w/ crème anglaise.`,
    [
      'chocolate-base: chocolate-dark-70 360',
      'set-filling: butter-82 200, cocoa-powder-22 60, sugar-caster 90 <- chocolate-base, egg-foam, whipped-cream',
      'egg-foam: egg-yolk 102, sugar-caster 90',
      'whipped-cream: cream-48 500',
    ],
  ],
  [
    "an icebox cake of boxes and tubs",
    `Lemon Icebox Cake

2 (3.4 oz) boxes instant lemon pudding
3 1/2 cups milk
1 (8 oz) tub frozen whipped topping, thawed
1 (14.4 oz) box graham crackers
1 (16 oz) can lemon frosting

Whisk pudding mixes and milk for 2 minutes; let stand 5 minutes until thickened. Fold in whipped topping. Line the bottom of a 13 x 9 dish with crackers, breaking to fit. Spread half of pudding mixture over; repeat layers once. Top with remaining crackers. Microwave frosting 20 seconds, stir and pour over the top. Refrigerate 12 hours.`,
    [
      'set-filling: instant-pudding-powder 193, milk-whole 855, plant-topping-sweet 227',
      'biscuit-layer: graham-rectangle 408',
      'topping: frosting-ready 454',
    ],
  ],
  [
    "kisses told with an oven that is only degrees",
    `Rose & raspberry meringue kisses: whisk three whites (100g) till stiff, then 200g caster sugar in a spoon at a time, and keep going until you can't feel any grains. Half a tsp of rose water. Stripe the bag with pink gel, pipe 40 little kisses, 100 degrees for an hour and a quarter, then leave them in the oven till it's cold. For the filling whip 150ml double cream with 20g icing sugar to firm peaks and ripple in 50 g of raspberry purée. Sandwich in pairs no more than an hour before.`,
    [
      'meringue: egg-white 99, rose-water 3, sugar-caster 200',
      'whipped-cream: cream-48 150, icing-sugar-starch 20, raspberry-puree 50',
    ],
  ],
  [
    "dots between names and grams",
    `MAPLE WALNUT SEMIFREDDO ::: yield 12 @ 90 g

maple syrup ....... 200 g
egg yolks ......... 120 g
whole egg ......... 50 g
cream 35% ......... 480 g
candied walnuts ... 120 g
salt .............. 2 g
bourbon ........... 25 g

Cook maple to 118C. Stream over yolks/egg on speed 3, whip on high 6-7 min to 30C.
Cream to soft peak with bourbon + salt.
Fold 1/3 cream in, then rest, then nuts.
Pipe in dome molds 90 g. Blast freeze 2h, -18.
Temper 8 min at plate-up.`,
    [
      'egg-foam: egg-whole 50, egg-yolk 120, maple-syrup 200',
      'whipped-cream: cream-35 480, salt 2, whisky-40 25',
      'set-filling: ? 120 <- egg-foam, whipped-cream',
    ],
  ],
  [
    "a panna cotta with roasted fruit",
    `Buttermilk panna cotta & roasted strawberries

Ingredients:
   Panna cotta:
      1 ½ tsp powdered gelatin
      2 tbsp cold water
      1 cup heavy cream
      ½ cup sugar
      1 vanilla bean, split
      2 cups buttermilk, shaken
   Strawberries:
      1 lb strawberries, hulled and halved
      3 tbsp sugar
      1 tsp balsamic vinegar

Instructions:
   1. Sprinkle gelatin over water in a small bowl; let stand 5 min.
   2. Heat cream, sugar and vanilla seeds and pod in a saucepan until steaming, do not boil. Remove from heat, stir in gelatin until dissolved. Let cool to lukewarm, 15 min, then fish out the pod and whisk in buttermilk.
   3. Divide among 6 (6 oz) ramekins. Cover and chill until set, 4 hrs or overnight.
   4. Meanwhile toss strawberries with sugar and vinegar on a sheet pan, roast at 400F 20 minutes until juicy. Cool.
   5. Run a thin knife around, dip in hot water for 5 sec, turn out on plates. Spoon strawberries and juice around.`,
    [
      'set-filling: buttermilk 489, cream-36 239, gelatin-powder-225 5, sugar-caster 100, vanilla-pod 3, water 30',
      'topping: strawberry 454, sugar-caster 38, vinegar-balsamic 5',
    ],
  ],
  [
    "a mess for a crowd, told",
    `How I do the eton mess for a crowd. Make the meringue the night before: eight egg whites and a pound of caster sugar, whites first till they're stiff then the sugar in bit by bit, spread it on two trays and bake it low, 110, for two hours, leave it in overnight. Next day hull two pounds of strawberries, crush half of them with two tablespoons of sugar. Whip two pints of double cream, not too far, and crumble the meringue in, fold the crushed strawberries through it and then the whole ones. Glasses, straight away. Feeds sixteen.`,
    [
      'meringue: egg-white 264, sugar-caster 454',
      'fruit-base: strawberry 454, sugar-caster 30',
      'whipped-cream: cream-48 1137',
      'set-filling: strawberry 454 <- meringue, whipped-cream',
    ],
  ],
  [
    "an entremet in chefs' words, lists between bars",
    `White chocolate & passionfruit entremet (16 cm ring)

1. Coconut dacquoise
   Egg white 60 / sugar 25 / icing sugar 45 / desiccated coconut 50 / flour 10
2. Passion cremeux
   Passion purée 90 / yolk 30 / egg 35 / sugar 35 / butter 45 / gelatin 1.5
3. White chocolate mousse
   Milk 70 / yolk 20 / gelatin 3 / white chocolate 120 / cream 200

Dacquoise: meringue with white and sugar, fold sieved powders, pipe a 14 cm disc, 170 °C 15 min.
Cremeux: cook purée, yolk, egg, sugar to 82 °C, gelatin in, cool to 40 °C, butter in with stick blender. Pour on dacquoise in 14 cm ring, freeze 3 h.
Mousse: anglaise 83 °C, gelatin, pour on chocolate, emulsify, at 32 °C fold in semi-whipped cream.
Assembly (upside down): mousse in 16 cm ring, insert, smooth. Freeze overnight. Unmould, thaw 4 h in the fridge.`,
    [
      'meringue: coconut-desiccated 50, egg-white 60, icing-sugar-starch 45, sugar-caster 25, wheat-flour 10',
      'custard: butter-82 45, egg-whole 35, egg-yolk 30, fruit-puree 90, gelatin-leaf-gold 2, sugar-caster 35',
      'chocolate-base: chocolate-white 120, egg-yolk 20, gelatin-leaf-gold 3, milk-whole 70',
      'whipped-cream: cream-35 200',
      'set-filling:  <- chocolate-base, whipped-cream',
    ],
  ],
  [
    "a cassata with most of a liqueur and the rest",
    `My mother-in-law's cassata

1 ready made sponge flan case or about 350g of sponge
6 tablespoons of maraschino
700 g ricotta, drained overnight
250 g caster sugar
100 g dark choc, chopped small
100 g mixed peel
50 g pistachios
200 ml whipping cream

You line a pudding basin with slices of the sponge and sprinkle it with most of the maraschino. Beat ricotta and sugar through a sieve, stir in chocolate, peel and nuts. Whip the cream and fold that in. Fill up the basin, lid of sponge, rest of the maraschino over it. Weigh it down with a plate and leave it in the fridge for a day. Turn it out.`,
    [
      'biscuit-layer: genoise 350',
      'soak: fruit-liqueur-20 73',
      'set-filling: candied-peel 100, chocolate-dark-64 100, pistachio 50, ricotta 700, sugar-caster 250 <- whipped-cream',
      'whipped-cream: cream-35 202',
      'soak: fruit-liqueur-20 24',
    ],
  ],
  [
    "a table with two columns of amounts",
    `Irish cream chocolate cups

INGREDIENTS | METRIC | US
Dark chocolate (60%) | 170 g | 6 oz
Whole milk | 120 ml | 1/2 cup
Irish cream liqueur | 60 ml | 1/4 cup
Heavy cream | 360 ml | 1 1/2 cups
Egg yolks | 2 | 2
Sugar | 25 g | 2 tbsp

STEPS
Whisk the yolks and sugar, heat the milk to a simmer and pour onto the yolks, whisking. Return to the pan and cook gently until it coats the spoon (82°C). Strain onto the chocolate and stir until smooth. Stir in the liqueur and let cool to room temp.
Whip 300 ml of the cream to soft peaks and fold in. Divide between 6 cups, chill 3 hours.
Whip the remaining cream and dollop on top.`,
    [
      'custard: egg-yolk 34, milk-whole 124, sugar-caster 25',
      'set-filling: chocolate-dark-70 170, cream-liqueur-17 63 <- custard, whipped-cream',
      'whipped-cream: cream-36 303',
      'whipped-cream: cream-36 61',
    ],
  ],
  [
    "a fool on an envelope",
    `gooseberry fool -- scribbled on the back of an envelope

1lb goosegogs, topped + tailed
4oz sugar
splash elderflower cordial
1/2pt dbl cream
1/4pt cold custard

stew goosegogs w sugar + 2tbsp water 10min lid on. mash, cool. add cordial.
whip cream soft. fold custard thro, then fruit, leave streaky. chill. shortbread`,
    [
      'fruit-base: cordial 6, gooseberry 454, sugar-caster 113',
      'whipped-cream: cream-48 237',
      'set-filling: custard-ready 128 <- fruit-base, whipped-cream',
    ],
  ],
  [
    "a budino with its caramel, eggs warmed by a cup of it",
    `Butterscotch budino with salted caramel cream

Makes 6 small glasses

Budino
1 cup packed dark brown sugar
1/2 cup water
1 tsp kosher salt
3 cups heavy cream
1 1/2 cups whole milk
1 large egg
3 egg yolks
5 tbsp cornstarch
5 tbsp butter
2 tbsp dark rum

Caramel
1/2 cup heavy cream
1/2 vanilla bean
2 tbsp butter
1/2 cup sugar
2 tbsp corn syrup
1 tsp flaky salt

To serve: 1/2 cup whipped cream

1. For the budino: Combine brown sugar, water and salt in a pot, cook over medium-high until dark caramel, about 10 minutes. Immediately whisk in cream and milk; mixture will steam and seize. Bring to a boil.
2. Whisk egg, yolks and cornstarch in a bowl. Whisk in a cup of the hot cream mixture, then return everything to the pot and cook until very thick, 2 min. Off heat whisk in butter and rum. Strain, divide among glasses, chill at least 3 h and up to 3 days.
3. Caramel: warm the cream with the seeds of the vanilla and butter. In another pan cook sugar, corn syrup and a splash of water to medium amber, take off, whisk in the warm cream and salt. Cool.
4. Spoon a tablespoon of caramel over each pudding and add a dollop of whipped cream.`,
    [
      'custard: butter-82 71, corn-starch 38, cream-36 716, egg-whole 50, egg-yolk 51, milk-whole 367, muscovado 213, rum-40 28, salt 6, water 118',
      'set-filling: butter-82 28, cream-36 119, glucose-syrup-42 42, salt 6, sugar-caster 100, vanilla-pod 2',
      'topping: cream-35 119',
    ],
  ],
  [
    "a vacherin of bought discs, told",
    `Right, the vacherin. You need two meringue discs, 20 cm, I buy them in but you can make your own. A litre of decent raspberry sorbet and a litre of vanilla ice cream, both softened in the fridge for 20 minutes. In a 20 cm ring put a disc, then the ice cream, level, freeze it an hour, then the sorbet, then the second disc. Freezer overnight. Then whip 400 ml of cream with 40 g of icing sugar and half a sachet of cream stabiliser till firm, take the ring off and pipe it all over, blobs, and back in the freezer till you want it. Twenty minutes in the fridge before you cut it.`,
    [
      'topping: ice-cream 592, sorbet-fruit 634',
      'biscuit-layer: meringue-shell 28',
      'whipped-cream: cold-starch 4, cream-35 404, icing-sugar-starch 40',
    ],
  ],
  [
    "all but a spoonful of the oats",
    `Atholl brose cream
(4)

50 g medium oatmeal
4 tbsp whisky
3 tbsp heather honey
1 tbsp lemon juice
300 ml double cream
Raspberries to serve

Toast the oatmeal in a dry frying pan until it smells nutty; cool. Stir the honey and lemon into the whisky until melted. Whip the cream until it starts to thicken, then keep whisking while you trickle in the whisky mixture, to soft peaks. Fold in all but 1 tablespoon of the oatmeal. Spoon into 4 glasses, chill for an hour. Serve topped with the last of the oatmeal and a few raspberries.`,
    [
      'topping: oat-rolled 50',
      'set-filling: cream-48 300, honey 64, lemon-juice 15, whisky-40 57 <- topping',
      'topping: raspberry 1',
    ],
  ],
  [
    "cookies of which so many are crushed, chopped and strewn",
    `NO-BAKE OREO-STYLE CHEESECAKE BARS
[20 bars, 23 x 33 cm tin]

36 chocolate sandwich cookies (about 400g), divided
85g butter, melted
750g cream cheese, full fat, room temp
150g icing sugar
2 tsp vanilla
450ml double cream
12g powdered gelatine + 60ml water

1) Crush 24 cookies to crumbs, mix with the butter, press into the lined tin. Chill.
2) Sprinkle gelatine on the water, 5 min, then melt (microwave 20 s). Cool to 30C.
3) Beat cheese, sugar, vanilla until smooth. Beat 3 tbsp of cheese into the gelatine, then stir all of that back into the cheese.
4) Whip cream to soft peak; fold in. Roughly chop 8 of the remaining cookies, fold through.
5) Pour onto base. Crush last 4 and scatter on top. 6 hours.`,
    [
      'pressed-base: butter-82 85, chocolate-sandwich 264',
      'set-filling: chocolate-sandwich 136, cream-cheese-block 750, gelatin-powder-225 12, icing-sugar-starch 150, vanilla-extract 10, water 60 <- whipped-cream',
      'whipped-cream: cream-48 450',
    ],
  ],
  [
    "names above bullets, a cream begun without a verb",
    `Matcha tiramisu (egg-free)

Serves: 9
Prep: 30 min   Chill: 6 h

Ingredients
Mascarpone cream
- mascarpone, 450 g, cold
- double cream, 300 g, cold
- caster sugar, 80 g
- matcha, 6 g, sifted
- vanilla paste, 1 tsp
Dip
- hot water (70 °C), 250 g
- matcha, 6 g
- sugar, 20 g
To build
- ladyfingers, 200 g (24 pcs)
- matcha to dust

Steps
Dip: whisk matcha and sugar with a bit of the water to a paste, add the rest. Cool.
Cream: mascarpone + cream + sugar + vanilla + matcha in mixer bowl, whisk on medium until it holds soft peaks, ~2 min; do not overwhip.
Build: 20 cm square dish. Layer of dipped fingers (12), half the cream, fingers, cream. Smooth. Cover, 6 h at 4 °C. Dust just before serving.`,
    [
      'soak: matcha 6, sugar-caster 20, water 13, water 238',
      'cheese-cream: cream-48 300, mascarpone 450, matcha 6, sugar-caster 80, vanilla-paste 6',
      'biscuit-layer: ladyfinger 200',
      'topping: matcha 1',
    ],
  ],
  [
    "a list in one row, names before amounts",
    `Quick lemon possets w/ shortbread
serve 4

double cream 600ml, sugar 150g, 2 lemons zest + juice

Boil cream + sugar 3 mins. Off heat, add zest + juice, whisk. Cool 15 mins, strain into glasses. Fridge 3 hrs. Serve w/ shortbread.`,
    [
      'set-filling: cream-48 600, lemon-juice 90, lemon-zest 10, sugar-caster 150',
    ],
  ],
  [
    "a trifle told, amounts behind names and in brackets",
    `Marmalade bread-and-butter trifle -- my invention

Stale brioche, about 200g, sliced and toasted and spread with marmalade (half a jar, 170g). Lay that in the bowl & splash with 4 tbsp of Grand-type orange liqueur. Make a custard with 500ml milk, 5 yolks, 75g sugar, 25g cornflour - usual way, pour the hot milk over the whisked yolks and that, back in the pan till it plops. Pour it over warm and let the brioche drink it. When it's stone cold, whip 300ml double with a tbsp of icing sugar, spread, and strew over candied peel & toasted flaked almonds, a handful of each.`,
    [
      'biscuit-layer: panettone 200',
      'topping: jam 170',
      'soak: orange-liqueur-40 62',
      'custard: corn-starch 25, egg-yolk 85, milk-whole 517, sugar-caster 75',
      'whipped-cream: cream-48 300, icing-sugar-starch 8',
      'topping: almond-flaked 40, candied-peel 40',
    ],
  ],
  [
    "a frozen pie, its finish without amounts",
    `Frozen margarita pie
SERVES 8-10

Pretzel crust: 150 g pretzels, crushed fine; 115 g butter, melted; 50 g sugar
Filling: 1 tin condensed milk (397 g); 120 ml lime juice; 45 ml tequila; 30 ml triple sec; 360 ml whipping cream
Finish: lime zest, flaky salt

Crust ingredients together, press in 23 cm pie dish, freeze 20 min.
Whisk condensed milk, lime juice, and both spirits. Whip cream until medium peaks and fold in in 3 additions.
Pour in crust; freeze 6 hrs min. Stand 10 min at room temp. Finish with zest and salt.`,
    [
      'pressed-base: butter-82 115, pretzel 150, sugar-caster 50',
      'set-filling: condensed-milk 397, lime-juice 124, orange-liqueur-40 31, vodka-40 43 <- whipped-cream',
      'whipped-cream: cream-35 364',
      'topping: lime-zest 0, salt 0',
    ],
  ],
  [
    "rice cooked the night before, a sauce beside it",
    `Rice cream with cherries (risalamande)

Rice pudding: 1 litre milk, 150 g pudding rice, 1 vanilla pod, 30 g sugar
150 g blanched almonds, chopped (keep one whole!)
400 ml cream
Sauce: 500 g sour cherries in syrup, 2 tbsp cornflour, 2 tbsp cherry liqueur

The night before, bring milk and rice to the boil with the split vanilla pod, lid on, lowest heat 35-40 min stirring now and then. Stir in the sugar. Cool and chill overnight.
On the day loosen the pudding with a fork, remove the pod, stir in almonds. Whip the cream to soft peaks and fold in, a third first. Hide the whole almond.
Heat the cherries with their syrup, thicken with cornflour stirred in a little cold water, boil 1 minute, add the liqueur. Serve warm over the cold rice.`,
    [
      'custard: almond-flaked 150, milk-whole 1033, rice-pudding 150, sugar-caster 30, vanilla-pod 3',
      'whipped-cream: cream-35 404',
      'set-filling:  <- custard, whipped-cream',
      'fruit-base: cherry-in-syrup 500, corn-starch 15, fruit-liqueur-20 32',
    ],
  ],
  [
    "pavlovas with two fruits, each its own sauce",
    `Peach Melba pavlovas for six

Heat oven to 120°C/100°C fan. Whisk 4 large egg whites to stiff peaks, add 220g golden caster sugar a dessertspoon at a time until thick and shiny, then fold in 1 tsp cornflour and 1 tsp white wine vinegar. Spoon six nests on a lined tray, bake for 1 hr 15, then leave in the turned-off oven until cold.

Poach 3 peaches, halved, in 300ml water and 100g sugar for 8 mins; peel. Blitz 200g raspberries with 2 tbsp icing sugar, sieve. Softly whip 250ml double cream with 1 tsp vanilla.

Fill each nest with cream, sit a peach half on top, spoon over the raspberry sauce. Eat at once.`,
    [
      'meringue: corn-starch 3, egg-white 132, sugar-caster 220, vinegar-white 5',
      'fruit-base: peach 420, sugar-caster 100, water 300',
      'fruit-base: icing-sugar-starch 15, raspberry 200',
      'whipped-cream: cream-48 250, vanilla-extract 5',
    ],
  ],
  [
    "a banana pudding told, layers and counts said behind",
    `Okay, so the banana pudding. First thing, a pudding: two thirds of a cup of sugar, a quarter cup of cornstarch, a pinch of salt, whisk those in the pan, then three cups of whole milk and four egg yolks, whisk again, and over medium heat keep stirring till it bubbles, one more minute, off. Stir in two tablespoons of butter and a tablespoon of vanilla. Press plastic on it and cool it all the way, two hours in the fridge. Whip a cup and a half of heavy cream with three tablespoons of powdered sugar, stiff, and fold about two thirds of that into the pudding. Then it's a layer of vanilla wafers, an 11 ounce box does it, a layer of sliced bananas, I use five, a layer of pudding, and again, and again. Rest of the whipped cream on top and a few crushed wafers. At least four hours, overnight's better.`,
    [
      'custard: butter-82 28, corn-starch 30, egg-yolk 68, milk-whole 733, salt 0, sugar-caster 133, vanilla-extract 14',
      'whipped-cream: cream-36 358, icing-sugar-starch 23',
      'set-filling:  <- custard, whipped-cream',
      'biscuit-layer: vanilla-wafer 312',
      'topping: banana 575',
    ],
  ],
  [
    "a charlotte of a roll, its glaze a list of its own",
    `Raspberry Charlotte Royale

Serves 10-12 | 2 L bowl

For the jelly roll
4 large eggs, room temperature
¾ cup (150 g) granulated sugar
¾ cup (95 g) all-purpose flour
¼ tsp salt
¾ cup (240 g) seedless raspberry jam

For the Bavarian cream
2½ tsp unflavored gelatin powder
3 Tbsp cold water
1¼ cups (300 ml) whole milk
5 large egg yolks
½ cup (100 g) sugar
1 tsp vanilla bean paste
1½ cups (360 ml) heavy cream

To glaze
¼ cup (80 g) raspberry jam, warmed and sieved

Make the jelly roll: Preheat oven to 400°F. Line a 10×15-inch jelly roll pan with parchment. Beat eggs and sugar on high speed until tripled in volume, about 6 minutes. Sift flour and salt over in 3 additions, folding after each. Spread in pan and bake 10 to 12 minutes. Turn out onto a towel dusted with powdered sugar, roll up and let cool. Unroll, spread with jam, reroll and cut into ¼-inch slices. Line a plastic-wrapped bowl with slices.

Make the Bavarian: Sprinkle gelatin over the water. Heat milk until steaming. Whisk yolks and sugar in a bowl; slowly whisk in the milk. Return to pan and cook, stirring, until 170°F. Off heat, stir in gelatin and vanilla; strain into a bowl set over ice. Stir until it begins to thicken, about 10 minutes. Whip cream to soft peaks and fold in.

Pour into the lined bowl, cover with the remaining slices. Chill at least 6 hours. Unmold and brush with the glaze.`,
    [
      'biscuit-layer: egg-whole 200, salt 2, sugar-granulated 150, wheat-flour 95',
      'topping: jam 240',
      'custard: egg-yolk 85, gelatin-powder-225 8, milk-whole 305, sugar-caster 100, vanilla-paste 6, water 44',
      'whipped-cream: cream-36 358',
      'set-filling:  <- custard, whipped-cream',
      'soak: jam 80',
    ],
  ],
  [
    "an icebox pudding on a card",
    `Grandma Ruth's Icebox Pudding

1/2 lb. vanilla wafers
1/2 c. butter
1 1/2 c. powdered sugar
2 eggs
1 c. crushed pineapple, drained
1/2 pt. whipping cream
1/2 c. chopped pecans

Crush wafers and put half in bottom of 8 inch square pan. Cream butter and sugar, add eggs one at a time and beat well. Spread over crumbs. Whip cream, fold in pineapple and nuts. Spread on top of egg mixture. Cover with remaining crumbs. Let stand in icebox 24 hours. Cut in squares. Serves 9.`,
    [
      'biscuit-layer: vanilla-wafer 227',
      'buttercream: butter-82 113, egg-whole 100, icing-sugar-starch 180',
      'whipped-cream: cream-35 239',
      'set-filling: pecan 55, pineapple 165 <- whipped-cream',
    ],
  ],
  [
    "sugar parted in brackets, a syrup poured between whisk and bowl",
    `Italian meringue buttercream, mango

– 180 g egg whites
– 360 g sugar (60 g for the whites, 300 g for the syrup)
– 90 g water
– 450 g butter at 20 °C, in cubes
– 200 g mango purée, reduced to 120 g
– pinch of salt

Reduce the purée over low heat, 15 min, cool completely.
Bring the water and the 300 g sugar to 118 °C. When it passes 110 °C start the whites on medium with the salt, adding the remaining 60 g sugar at soft peaks.
Pour the syrup between whisk and bowl, then high speed until the bowl is at 26 °C, about 12 min.
Change to the paddle, medium-low. Butter in, a cube at a time; if it curdles, keep beating.
Beat in the mango. Use at once, or freeze up to 1 month. Fills and covers one 20 cm, 3-layer cake.`,
    [
      'fruit-base: mango-puree 200',
      'buttercream: butter-82 450, egg-white 180, salt 0, sugar-caster 300, sugar-caster 60, water 90',
      'set-filling:  <- buttercream, fruit-base',
    ],
  ],
  [
    "an icebox loaf told, what is in it said first",
    `You know the lemon one with the biscuits? Here's how. About 350 grams of those thin lemon biscuits. Half a litre of whipping cream, 250 of mascarpone, a jar of lemon curd, that's 320 grams. Beat the mascarpone with half the curd until it's smooth, pour the cream in and whip it all until it holds but isn't stiff. A splash of limoncello in some milk, say 150 ml of milk and 30 of limoncello, for dipping. Line a loaf tin with cling film, cream, dipped biscuits, cream, and so on, five layers, finishing with biscuits. Overnight. Turn it out, spread the rest of the curd over and scatter pistachios, 20 grams or so.`,
    [
      'cheese-cream: cream-35 505, lemon-curd 160, mascarpone 250',
      'soak: fruit-liqueur-20 30, fruit-liqueur-20 5, milk-whole 155',
      'biscuit-layer: ? 350',
      'topping: lemon-curd 160',
      'topping: pistachio 20',
    ],
  ],
  [
    "a semifreddo in marked-up text",
    `# White Chocolate Cranberry Semifreddo
*Prep 40 min · Freeze 8 h · Serves 8*

## Ingredients

**Cranberry swirl**
- 200 g fresh cranberries
- 100 g sugar
- 60 ml orange juice

**Semifreddo**
- 150 g white chocolate, chopped
- 60 ml + 340 ml cold heavy cream (36%)
- 3 eggs
- 70 g sugar
- 1/2 tsp almond extract

## Method

1. **Swirl.** Simmer cranberries, sugar and orange juice 8–10 min until jammy. Blend, sieve, chill.
2. **Base.** Melt the chocolate with 60 ml of the cream in the microwave in 20-second bursts. Cool to 30 °C.
3. Whisk the eggs and sugar over simmering water to 74 °C, ~7 min. Move to the mixer and beat on high until cold and thick, ~8 min. Fold in the chocolate and almond extract.
4. Whip the remaining 340 ml cream to soft peaks. Fold in thirds.
5. Pour half into a lined 1.5 L loaf tin, dot over half the swirl, repeat, and ripple with a skewer. Freeze ≥ 8 h.
6. To serve: 10 min in the fridge, unmold, slice 2 cm thick.`,
    [
      'fruit-base: cranberry 200, orange-juice 63, sugar-caster 100',
      'egg-foam: egg-whole 150, sugar-caster 70',
      'set-filling: almond-extract 2, chocolate-white 150, cream-36 61 <- egg-foam',
      'whipped-cream: cream-36 343',
      'set-filling:  <- set-filling, whipped-cream',
    ],
  ],
  [
    "whites and cream that go in together, each from its own bowl",
    `Melt 200 g of dark chocolate with 50 ml of coffee and let it cool. Stir in three yolks. Two egg whites whisked to soft peaks go in, and 300 ml of cream, also soft. Glasses, two hours. Serve with a dusting of cocoa.`,
    [
      'chocolate-base: chocolate-dark-64 200, coffee-brewed 50, egg-yolk 51',
      'egg-foam: egg-white 66',
      'whipped-cream: cream-35 303',
      'set-filling:  <- chocolate-base, egg-foam, whipped-cream',
      'topping: cocoa-powder-22 0',
    ],
  ],
  [
    "a packet of which not all is used",
    `Digestives, a packet, that's 400 g but I only use 250, crushed with 110 g melted butter and pressed in a 20 cm tin. 500 g cream cheese beaten with 100 g icing sugar and the zest of a lemon, then 300 ml double cream in and beat till it's stiff. On the base, fridge overnight. Berries on top, 200 g.`,
    [
      'pressed-base: butter-82 110, digestive 250',
      'cheese-cream: cream-48 300, cream-cheese-block 500, icing-sugar-starch 100, lemon-zest 5',
      'topping: mixed-berries 200',
    ],
  ],
  [
    "a chestnut glass in chefs' notes",
    `Mont blanc verrines x8

Meringue (bought) 80g
Chestnut puree 400g
icing sugar 60
rum 1 tbsp
butter 40g soft
Cream 400 + icing sugar 30
vanilla

Beat chestnut w butter, sugar, rum till smooth, in a bag w/ small plain nozzle.
Chantilly: cream, sugar, vanilla, med peak.
Crumble meringue in the glasses, chantilly, pipe chestnut vermicelli over. Chill max 2h or the meringue goes. Dust icing sugar at service.`,
    [
      'fruit-base: butter-82 40, chestnut-puree 400, icing-sugar-starch 60, rum-40 14',
      'whipped-cream: cream-35 400, icing-sugar-starch 30, vanilla-extract 0',
      'topping: meringue-shell 80',
    ],
  ],
  [
    "an old bavarois, milk poured on to the yolks",
    `Coffee Bavarois

Serves 6.

3 egg yolks
3 oz (75g) caster sugar
½ pint (300ml) milk
2 tablespoons instant coffee
½ oz (15g) powdered gelatine
3 tablespoons water
½ pint (300ml) double cream

1. Cream the egg yolks and sugar together until pale. Heat the milk with the coffee, stirring, until it just boils, and pour on to the yolks, stirring all the time.
2. Return to the saucepan and heat very gently, stirring, until it coats the back of a spoon. Do not boil.
3. Dissolve the gelatine in the water over a pan of hot water, stir into the custard and leave until beginning to set.
4. Lightly whip the cream and fold two-thirds of it into the custard. Pour into a lightly oiled 1½ pint (900ml) mould and chill until set.
5. Turn out and decorate with the remaining cream.`,
    [
      'custard: coffee-instant 8, egg-yolk 51, gelatin-powder-225 14, milk-whole 294, sugar-caster 85, water 53',
      'whipped-cream: cream-48 284',
      'set-filling:  <- custard, whipped-cream',
    ],
  ],
  [
    "a salad of pretzels in three lists",
    `Strawberry Pretzel Salad

CRUST:
2 cups crushed pretzels
3/4 cup melted butter
3 Tbsp sugar

CREAM LAYER:
8 oz cream cheese (softened)
1 cup sugar
8 oz Cool-type whipped topping

TOP:
6 oz package strawberry gelatin dessert
2 cups boiling water
20 oz frozen sliced strawberries

Mix crust ingredients and press into 9x13 pan. Bake at 400 for 8 minutes. Cool completely.
Beat cream cheese and sugar until fluffy. Fold in whipped topping. Spread over cooled crust all the way to the edges. Chill 30 min.
Dissolve gelatin in boiling water; add frozen strawberries and stir until it starts to thicken. Pour over cream layer. Refrigerate until firm, 4 hours.`,
    [
      'pressed-base: butter-82 169, pretzel 120, sugar-caster 38',
      'cheese-cream: cream-cheese-block 227, plant-topping-sweet 227, sugar-caster 200',
      'fruit-base: gelatin-dessert 170, strawberry 567, water 473',
    ],
  ],
  [
    "honey in it and more to drizzle",
    `Whipped feta-style sweet ricotta w. honey, for toast

500 g ricotta, well drained
150 ml whipping cream
3 tbsp honey + more to drizzle
zest 1 orange
pinch of salt
pistachios

Blitz the ricotta with the honey, zest & salt for 2 mins until really smooth. Whip the cream to soft peaks, fold through. Chill 1 hr. Spoon into bowls, drizzle with honey, scatter pistachios.`,
    [
      'set-filling: honey 63, orange-zest 8, ricotta 500, salt 0 <- whipped-cream',
      'whipped-cream: cream-35 152',
      'topping: pistachio 0',
    ],
  ],
  [
    "a fool told on the telephone: the fruit goes through the cream",
    `Gooseberry fool, the way Mum told it on the phone

So you want about a pound of gooseberries, topped and tailed, and you stew them with four ounces of sugar and a couple of spoonfuls of water till they burst, ten minutes or so. Push them through a sieve if you can be bothered. Let it get properly cold, that's the thing people forget. Then whip half a pint of double cream, not stiff mind, just till it flops, and fold the fruit through so it's all streaky. Spoon it into six glasses and put them in the fridge for an hour. Shortbread on the side if you've got any.`,
    [
      'fruit-base: gooseberry 454, sugar-caster 113, water 30',
      'whipped-cream: cream-48 284',
      'set-filling:  <- fruit-base, whipped-cream',
    ],
  ],
  [
    "dozens shortened, a gill, and a cream that is half whipped",
    `CHARLOTTE RUSSE
2 doz. sponge fingers
1/2 oz. leaf gelatine
1 gill milk
3/4 pint cream
2 oz. castor sugar
Vanilla essence
Glacé cherries for the top

Line a plain charlotte mould with the sponge fingers, trimming them to fit.
Soak the gelatine in the milk, then dissolve over gentle heat. Allow to cool but not to set.
Half whip the cream with the sugar and a few drops of vanilla essence.
Stir in the gelatine and pour into the mould at once.
Leave in a cold place until set, 3 hours. Trim the biscuits level, turn out and decorate with the cherries.`,
    [
      'biscuit-layer: ladyfinger 192',
      'whipped-cream: cream-35 430, gelatin-leaf-gold 14, milk-whole 147, sugar-caster 57, vanilla-extract 0',
      'topping: cherry-candied 1',
    ],
  ],
  [
    "peanuts for the top beside peanut butter in the filling",
    `My No-Bake Peanut Butter Pie (serves 10)

I know, I know, another pie! But this one is from my neighbor and it is SO good.

CRUST
25 chocolate sandwich cookies
5 tablespoons butter, melted

FILLING
8 oz cream cheese, softened
1 cup creamy peanut butter
1 1/4 cups powdered sugar, divided
1 1/2 cups cold heavy cream
1 tsp vanilla

TOPPING
1/4 cup chopped peanuts
2 oz dark chocolate, melted

1. Crush the cookies into fine crumbs, mix with melted butter, and press into a 9-inch pie dish. Freeze 15 minutes.
2. Beat the cream cheese, peanut butter and 1 cup of the powdered sugar until smooth.
3. In another bowl, whip the cream with the remaining powdered sugar and vanilla to stiff peaks.
4. Fold two-thirds of the whipped cream into the peanut butter mixture. Spread in the crust.
5. Top with the rest of the whipped cream, sprinkle with peanuts and drizzle with chocolate.
6. Chill at least 4 hours.

NOTES: Natural peanut butter will separate, don't use it. Keeps 3 days.`,
    [
      'pressed-base: butter-82 71, chocolate-sandwich 275',
      'set-filling: cream-cheese-block 227, icing-sugar-starch 120, peanut-butter 258 <- whipped-cream',
      'whipped-cream: cream-36 358, icing-sugar-starch 30, vanilla-extract 5',
      'topping: peanut 36',
      'topping: chocolate-dark-64 57',
    ],
  ],
  [
    "two things one after the other, each in its own sentence",
    `White Chocolate & Passion Fruit Mousse Cups

For the mousse: Melt 200g white chocolate gently. Bring 100ml cream to the boil and stir into the chocolate. Bloom 2 gelatine leaves in cold water, squeeze and add. When at 30C, fold in 300ml cream whipped to soft peaks.
For the jelly: Warm 150g passion fruit purée with 40g sugar, add 1 1/2 gelatine leaves (bloomed). Cool to 25C.
To finish: Divide the mousse among 8 cups, chill 2 hours, pour over the jelly, chill 1 hour more. Serve with a spoonful of crème fraîche and some mint.`,
    [
      'chocolate-base: chocolate-white 200, cream-35 101, gelatin-leaf-gold 4',
      'whipped-cream: cream-35 303',
      'set-filling:  <- chocolate-base, whipped-cream',
      'fruit-base: fruit-puree 150, gelatin-leaf-gold 3, sugar-caster 40',
      'topping: creme-fraiche-35 15',
    ],
  ],
  [
    "a third of the strawberries puréed, large whites, and a meringue baked",
    `Cardinal meringues (Makes 10)

Preheat the oven to 120C/100C fan/gas 1/2 and line two trays with baking paper.
Whisk 4 large egg whites with a pinch of salt to soft peaks, then add 220g caster sugar a spoonful at a time, whisking until thick and glossy. Fold in 1 tsp white wine vinegar and 1 tsp cornflour. Spoon 10 nests onto the trays, make a hollow in each, and bake for 1 1/2 hrs. Turn the oven off and leave inside until cold.
Meanwhile hull 300g strawberries; purée a third of them with 1 tbsp icing sugar and 1 tsp lemon juice. Slice the rest.
Whip 300ml whipping cream to soft peaks with 1 tsp vanilla bean paste. Fill the nests with cream, pile on the sliced strawberries and spoon the purée over just before serving.`,
    [
      'meringue: corn-starch 3, egg-white 132, salt 0, sugar-caster 220, vinegar-white 5',
      'fruit-base: icing-sugar-starch 8, lemon-juice 5, strawberry 100',
      'whipped-cream: cream-35 303, vanilla-paste 6',
      'topping: strawberry 200',
    ],
  ],
  [
    "a table with two amounts of one sugar, and whole eggs beside yolks",
    `Blackcurrant ripple semifreddo

Ingredients                 Qty
Blackcurrants (frozen)      250 g
Caster sugar                50 g + 120 g
Lemon juice                 1 tsp
Eggs                        3 whole + 2 yolks
Double cream                450 ml
Crème de cassis             2 tbsp

Method
Simmer the currants with 50 g sugar and the lemon juice for 5 min, sieve, cool, stir in the cassis.
Whisk eggs, yolks and 120 g sugar over simmering water until it reaches 75°C and is thick and pale, about 8 minutes. Take off and whisk until cold.
Softly whip the cream and fold in, in two lots.
Pour half into a lined 900 g loaf tin, swirl in half of the purée, repeat. Freeze 8 hours.
Take out 15 min before slicing.`,
    [
      'fruit-base: blackcurrant 250, fruit-liqueur-20 32, lemon-juice 5, sugar-caster 50',
      'egg-foam: egg-whole 150, egg-yolk 34, sugar-caster 120',
      'whipped-cream: cream-48 450',
      'set-filling:  <- egg-foam, whipped-cream',
    ],
  ],
  [
    "a trifle in a letter, whose milk is taken back in its postscript",
    `Re: that trifle you made

Hi! Sure, here goes. It's dead easy. One madeira cake (mine was about 300g), cut in slices, lay in the bottom of a glass bowl and sprinkle over 100ml sweet sherry. Then 400g raspberries on top (frozen are fine). The custard: 4 egg yolks, 50g caster sugar, 1 tbsp cornflour, whisk together; heat 500ml whole milk with a vanilla pod, pour on, back in the pan and stir until thick. Cool it and pour it over the fruit. When it has set, about 3 hours in the fridge, whip 400ml double cream with 2 tbsp icing sugar to soft peaks and pile it on. Flaked almonds, toasted, a handful.
PS sorry, I meant 300ml of milk not 500!`,
    [
      'biscuit-layer: sponge-cake 300',
      'soak: sherry-17 100',
      'topping: raspberry 400',
      'custard: corn-starch 8, egg-yolk 68, milk-whole 310, sugar-caster 50, vanilla-pod 3',
      'whipped-cream: cream-48 400, icing-sugar-starch 15',
    ],
  ],
  [
    "a pavlova whose list is a sentence",
    `Passionfruit pavlova

Serves eight to ten.

You'll need 6 large egg whites, a pinch of cream of tartar, 340g caster sugar, 1 level tbsp cornflour and 2 tsp white wine vinegar. For the topping: 450ml double cream, 1 tbsp icing sugar, 8 passion fruit and a punnet of raspberries.

Oven to gas mark 2. Draw a 23cm circle on baking parchment. Whisk the whites with the cream of tartar until they stand in stiff peaks, then whisk in the sugar a tablespoon at a time until thick and very glossy. Sift over the cornflour, add the vinegar, fold through. Heap onto the circle, hollowing the middle. Bake for 1¼ hours, then switch off and let it go cold in the oven overnight.
Just before you serve it, whip the cream with the icing sugar till it barely holds, pile into the hollow, spoon over the passion fruit pulp and scatter with the raspberries.`,
    [
      'meringue: corn-starch 8, cream-of-tartar 0, egg-white 198, sugar-caster 340, vinegar-white 10',
      'whipped-cream: cream-48 450, icing-sugar-starch 8',
      'topping: passion-fruit 104',
      'topping: raspberry 125',
    ],
  ],
  [
    "a meringue buttercream with cheese, told",
    `ok so the frosting I always do for the carrot cake — take 5 egg whites and 250 grams of sugar, put them in the mixer bowl over a pan of simmering water and keep whisking till it's 71 C and you can't feel the sugar. onto the mixer with the whisk, full speed, ten minutes or so, till the bowl's cold. then a pound of soft butter in small lumps, on medium. it'll go soupy, don't panic. when it's come together beat in 8 oz cold cream cheese and a good teaspoon of vanilla paste and a pinch of salt. that does a three layer 8 inch cake.`,
    [
      'buttercream: butter-82 454, cream-cheese-block 227, egg-white 165, salt 0, sugar-caster 250, vanilla-paste 7',
    ],
  ],
  [
    "a church pudding in cans and boxes",
    `BANANA PUDDING (church supper)

1 (14 oz) can sweetened condensed milk
1 1/2 c. cold water
1 (3.4 oz) box instant vanilla pudding mix
3 c. heavy whipping cream
1 (11 oz) box vanilla wafers
4 ripe bananas, sliced

Beat condensed milk and water till combined, 1 min. Beat in pudding mix 2 min. Cover & refrigerate 4 hrs or overnight. Whip cream to stiff peaks. Fold into pudding mixture till no streaks remain. In a trifle bowl layer 1/3 of wafers, 1/3 of bananas and 1/3 of pudding. Repeat layers twice. Top with crushed wafers. Chill 4-8 hrs. Serves 12-15.`,
    [
      'set-filling: condensed-milk 397, instant-pudding-powder 96, water 355 <- whipped-cream',
      'whipped-cream: cream-36 716',
      'biscuit-layer: vanilla-wafer 312',
      'topping: banana 460',
    ],
  ],
  [
    "nougat in two foams of eggs",
    `Nougat semifreddo, loaf tin 1.2 litres

- 3 eggs, separated
- 90 g golden caster sugar
- 300 g crème fraîche
- 150 ml double cream
- 120 g soft nougat, chopped small
- 40 g pistachios, roughly chopped
- 2 tbsp orange flower water

1. Line the tin with cling film.
2. Beat yolks and sugar in a heatproof bowl over barely simmering water for 5 min until pale and thick (70°C). Take off the heat and beat until cool.
3. Whip the cream and crème fraîche together to soft peaks; fold into the yolks with nougat, pistachios and orange flower water.
4. In a clean bowl whisk the whites to stiff peaks. Fold in gently in two additions.
5. Pour into the tin, cover, freeze at least 8 hours.
6. Move to the fridge 20 minutes before slicing.`,
    [
      'egg-foam: egg-yolk 51, sugar-caster 90',
      'whipped-cream: cream-48 150, creme-fraiche-35 300',
      'set-filling: nougat-soft 120, orange-blossom-water 30, pistachio 40 <- egg-foam, egg-foam, whipped-cream',
      'egg-foam: egg-white 99',
    ],
  ],
  [
    "an old syllabub, peel and juice steeped",
    `To make an Everlasting Syllabub

Take the peel of two lemons pared thin and the juice of one, steep them in half a pint of sherry and two tablespoonfuls of brandy the night before. Next day strain it into a large bowl, stir in four ounces of fine sugar till it is dissolved, then pour in by degrees a pint of double cream, whisking all the while until it stands in soft mounds. Grate in a little nutmeg. Fill ten small glasses and set them in a cool larder. They will keep two days.`,
    [
      'whipped-cream: brandy-40 34, cream-48 568, lemon-juice 45, lemon-zest 10, nutmeg-ground 0, sherry-17 285, sugar-caster 113',
    ],
  ],
  [
    "a charlotte in chefs’ rows",
    `CHARLOTTE FRAMBOISE — 2 rings 18 cm
Biscuit: ladyfingers 250
Syrup: water 100, sugar 60, framboise eau-de-vie 30
Bavarois: raspberry purée 400 / sugar 100 / lemon juice 20 / gelatine 16 / cream 400
Gelée: raspberry purée 200 / sugar 40 / gelatine 5
Method
Syrup: boil water + sugar, cool, add spirit.
Line rings with the ladyfingers, trimmed, soak the bottom ones with syrup.
Bavarois: warm 1/4 of the purée with sugar to 50C, dissolve the bloomed gelatine, add rest of purée and the lemon. At 22C fold in cream whipped soft.
Fill rings to 1 cm from the top, set 3h.
Gelée: warm a little purée with sugar, melt gelatine, add rest, pour over at 28 C. Set 2h. Decorate with fresh raspberries.`,
    [
      'soak: fruit-brandy-40 30, sugar-caster 60, water 100',
      'biscuit-layer: ladyfinger 250',
      'fruit-base: gelatin-leaf-gold 16, lemon-juice 20, raspberry-puree 100, raspberry-puree 300, sugar-caster 100',
      'whipped-cream: cream-35 400',
      'set-filling:  <- fruit-base, whipped-cream',
      'fruit-base: gelatin-leaf-gold 5, raspberry-puree 200, sugar-caster 40',
    ],
  ],
  [
    "a mess told in a message",
    `Hiya, here's the eton mess: I buy 8 meringue nests and smash them up. 600ml whipping cream whipped with 2 tablespoons of icing sugar and a teaspoon of vanilla (soft!! don't overdo it). 500g strawbs - blitz half of them with a squeeze of lemon & 1 tbsp icing sugar to make a sauce, chop up the other half. Fold the meringue and chopped strawbs through the cream, ripple the sauce through, into 6 sundae glasses and serve straight away or it goes soggy x`,
    [
      'whipped-cream: cream-35 606, icing-sugar-starch 15, vanilla-extract 5',
      'fruit-base: icing-sugar-starch 8, lemon-juice 5, strawberry 250',
      'set-filling: meringue-shell 112, strawberry 250 <- fruit-base, whipped-cream',
    ],
  ],
  [
    "an icebox loaf, a layer of crackers between",
    `Matcha Icebox Cake

Makes one 9x5-inch loaf, 8 slices

INGREDIENTS
For the whipped cream:
2 cups (480 ml) heavy cream, very cold
1/2 cup (60 g) powdered sugar
4 oz (113 g) mascarpone
1 tablespoon matcha powder, sifted, plus extra to dust
1 tsp vanilla extract
For assembly:
about 28 graham crackers (one 14.4-oz box)
1 cup (125 g) raspberries

DIRECTIONS
Line a loaf pan with plastic wrap, leaving an overhang.
In the bowl of a stand mixer fitted with the whisk attachment, beat mascarpone, powdered sugar, matcha and vanilla on low until smooth, about 1 minute. Increase speed to medium-high; with the mixer running, slowly stream in cream and beat until medium-stiff peaks form, 2 to 3 minutes.
Spread a thin layer of cream in the pan. Top with a single layer of crackers, breaking as needed. Spread 3/4 cup cream over. Repeat to make 5 layers of crackers, dotting raspberries in the middle layer, and ending with cream.
Cover and refrigerate at least 8 hours and up to 2 days.
Invert onto a platter, peel off plastic, dust with matcha and slice with a hot knife.
NOTE: Keeps 3 days in the fridge.`,
    [
      'cheese-cream: cream-36 477, icing-sugar-starch 60, mascarpone 113, matcha 6, vanilla-extract 5',
      'biscuit-layer: graham-rectangle 434',
      'topping: raspberry 125',
    ],
  ],
  [
    "a list between dots",
    `Coffee crunch ice-cream cake (no machine)
397g tin condensed milk · 600ml double cream · 3 tbsp instant espresso powder dissolved in 2 tbsp hot water · 50ml coffee liqueur · 150g chocolate-covered honeycomb, bashed
Base: 200g bourbon biscuits, 80g butter

Blitz the biscuits, stir in the melted butter and press into a 20cm springform. Freeze 15 mins.
Whisk together the condensed milk, cream, cooled coffee and liqueur until thick and airy. Fold through two thirds of the honeycomb. Scrape onto the base, smooth, freeze overnight.
Let it soften 10 mins in the fridge; scatter the remaining honeycomb over and serve in wedges.`,
    [
      'pressed-base: butter-82 80, chocolate-sandwich 200',
      'whipped-cream: coffee-liqueur-20 56, condensed-milk 397, cream-48 600, espresso-powder 11, honeycomb-chocolate 100, water 30',
      'topping: honeycomb-chocolate 50',
    ],
  ],
  [
    "lists that stand with their work",
    `Mont Blanc in a glass (8)

Meringue: egg whites 70 g, caster 70 g, icing sugar 60 g. Whip whites firm with the caster, fold in the icing sugar, pipe small kisses, dry 90 C for 2 h.
Chestnut cream: 400 g sweetened chestnut purée, 60 g soft butter, 20 g dark rum. Beat butter till light, add purée little by little, then rum.
Chantilly: 350 g cream 35%, 30 g sugar, 1 vanilla pod. Infuse the cream cold overnight with the split pod, remove it, whip with sugar to medium.
To build: crush a few kisses in each glass, pipe chantilly, then chestnut vermicelli with a fine nozzle, finish with a kiss and candied chestnut pieces (80 g). 
Serve within 2 h.`,
    [
      'meringue: egg-white 70, icing-sugar-starch 60, sugar-caster 70',
      'fruit-base: butter-82 60, chestnut-puree 400, rum-40 20',
      'whipped-cream: cream-35 350, sugar-caster 30, vanilla-pod 3',
    ],
  ],
  [
    "a notebook of lists before their work",
    `Rhubarb fool cake, from my aunt's notebook

1 lb rhubarb, 4 oz sugar, strip of orange peel: stew till soft, drain well & cool.
Sponge: 3 eggs, 3 oz caster, 3 oz SR flour. Whisk eggs + sugar till thick, fold flour in, 8" tin, gas 5, 20-25 min.
½ pt double cream & ¼ pt thick custard. Whip cream, fold in the custard then half the rhubarb.
Split sponge, spread with rest of rhubarb, fool on top. Cool 2 hrs. Cuts into 8.`,
    [
      'fruit-base: orange-zest 0, rhubarb-cooked 454, sugar-caster 113',
      'biscuit-layer: egg-whole 150, sugar-caster 85, wheat-flour 85',
      'whipped-cream: cream-48 284',
      'set-filling: custard-ready 153 <- fruit-base, whipped-cream',
    ],
  ],
  [
    "a log of two foams baked as one, its ganache boiled",
    `Chocolate chestnut log (yule)
serves 10-12

for the sponge sheet
5 eggs, separated
150g light brown sugar
50g cocoa
for the filling
300ml whipping cream
250g sweetened chestnut purée
1 tbsp dark rum
for the ganache
200g dark chocolate 60%
200ml double cream
25g butter

1 Heat oven to 180C/160 fan. Line a 33 x 23cm swiss roll tin.
2 Beat the yolks with 100g of the sugar until pale; fold in the sifted cocoa. Whisk the whites to soft peaks, whisk in the remaining sugar, fold into the yolk mix in three goes. Spread in the tin, bake 15-18 mins. Turn out on sugared paper, cover with a damp cloth and cool.
3 Bring the cream for the ganache to the boil, pour over the chopped chocolate, stir smooth, add the butter. Leave to thicken, about an hour.
4 Whip the cream to soft peaks; beat the chestnut purée with the rum and fold it through.
5 Spread the filling over the sponge and roll up from the long side. Cover with ganache, mark with a fork, chill 1 hour.`,
    [
      'biscuit-layer: cocoa-powder-22 50, egg-white 165, egg-yolk 85, sugar-light-brown 100, sugar-light-brown 50',
      'chocolate-base: butter-82 25, chocolate-dark-70 200, cream-48 200',
      'whipped-cream: cream-35 303',
      'set-filling: chestnut-puree 250, rum-40 14 <- whipped-cream',
    ],
  ],
  [
    "layers with their lists",
    `STRAWBERRY PRETZEL SALAD
Bottom layer: 2 c. crushed pretzels, 3/4 c. melted butter, 3 Tbsp. sugar
Mix, press in 9x13, bake 400 for 8 min. Cool.
Middle layer: 8 oz. cream cheese, 1 c. sugar, 1 (8 oz.) tub whipped topping
Beat cheese & sugar, fold in topping, spread on crust to the edges. Chill.
Top layer: 6 oz. box strawberry jello, 2 c. boiling water, 2 (10 oz.) pkgs frozen strawberries
Dissolve jello in water, add berries, let thicken slightly, pour over. Chill till firm, 2 hrs. 
15 servings`,
    [
      'pressed-base: butter-82 169, pretzel 120, sugar-caster 38',
      'cheese-cream: cream-cheese-block 227, plant-topping-sweet 227, sugar-caster 200',
      'fruit-base: gelatin-dessert 170, strawberry 567, water 473',
    ],
  ],
  [
    "two creams from one pan, glasses told as a row",
    `Zuppa inglese for the Friday table (12 glasses, 180 ml)

Crema: 1 l milk, 10 yolks, 280 g sugar, 90 g cornstarch, peel of 1 lemon
Half of it chocolate: 120 g dark chocolate 70%
Savoiardi 36 pcs
Alchermes 150 ml + water 100 ml
To finish: cream 35% 300 g, sugar 20 g, cocoa

Heat the milk with the lemon peel. Whisk yolks, sugar and starch, pour the hot milk on in three goes, back on the heat till it boils, 1 minute. Divide in two; melt the chocolate into one half. Cover with film in contact, cool to 20 C.
Mix alchermes and water. Break the savoiardi in three, dip quickly.
Glasses: biscuits, yellow cream, biscuits, chocolate cream. Chill 4 h at least.
Whip the cream with the sugar, soft. A spoonful on each, dust with cocoa. Serve the same day.`,
    [
      'custard: corn-starch 90, egg-yolk 170, lemon-zest 5, milk-whole 1033, sugar-caster 280',
      'set-filling: chocolate-dark-70 120 <- custard',
      'soak: spiced-liqueur-25 164, water 100',
      'biscuit-layer: ladyfinger 288',
      'whipped-cream: cream-35 300, sugar-caster 20',
      'topping: cocoa-powder-22 0',
    ],
  ],
  [
    "a mousse of eggs alone, told",
    `Right, so my mousse. 200 of dark chocolate, melt that. Six eggs, separate them. Yolks straight into the chocolate one by one, off the heat. Whites, pinch of salt, whip them till they just hold a peak then 30 g sugar in. Third of the whites into the chocolate to loosen it, then the rest, gently. No cream, that's the point. Into eight little pots, fridge, four hours minimum. Lasts till tomorrow, not longer.`,
    [
      'chocolate-base: chocolate-dark-64 200, egg-yolk 102',
      'egg-foam: egg-white 198, salt 0, sugar-caster 30',
      'set-filling:  <- chocolate-base, egg-foam',
    ],
  ],
  [
    "jars with marks and counted in circles",
    `**Mango shrikhand cheesecake jars** 🥭
*Makes 6 x 250ml jars*

Crumb
• 120g ginger nuts
• 50g butter, melted

Filling
• 500g Greek yoghurt, hung overnight (yields ~350g)
• 200g cream cheese, room temp
• 90g icing sugar
• ½ tsp ground cardamom
• pinch saffron, steeped in 1 tbsp warm milk
• 150ml double cream

Top
• 2 ripe mangoes (about 300g flesh), diced
• juice ½ lime

➊ Hang the yoghurt in muslin over a bowl in the fridge overnight.
➋ Crush biscuits, mix in butter, divide between the jars and press.
➌ Beat the drained yoghurt with cream cheese, icing sugar, cardamom and saffron milk. Whip cream to soft peaks and fold in.
➍ Spoon over crumb. Chill 3 hrs.
➎ Toss mango with lime, pile on top. Eat within 2 days.`,
    [
      'set-filling: cardamom-ground 1, cream-cheese-block 200, greek-yoghurt-10 500, icing-sugar-starch 90, milk-whole 15, saffron 0 <- whipped-cream',
      'pressed-base: butter-82 50, ginger-thin 120',
      'whipped-cream: cream-48 150',
      'topping: lime-juice 14, mango 460',
    ],
  ],
  [
    "a pie with half its fruit swirled in",
    `CRÈME FRAÎCHE ICE BOX PIE WITH PEACHES

Prep time: 25 min | Freeze: 5 hr | Serves: 8

1 9-inch graham cracker crust, baked and cooled
3 ripe peaches, peeled and sliced
2 tbsp brown sugar
1 tbsp bourbon
1 can (14 oz) sweetened condensed milk
1 cup crème fraîche
1/3 cup lemon juice
1 cup heavy cream

Cook peaches, brown sugar and bourbon in a skillet over medium heat until jammy, 8–10 minutes. Let cool completely.
Whisk condensed milk, crème fraîche and lemon juice until thickened. In a chilled bowl, beat cream to medium peaks; fold into condensed milk mixture. Swirl in half the peaches. Pour into crust. Freeze until firm, at least 5 hours. Top with remaining peaches. Let stand 10 minutes before slicing.`,
    [
      'fruit-base: peach 420, sugar-light-brown 27, whisky-40 14',
      'whipped-cream: condensed-milk 397, creme-fraiche-35 239, lemon-juice 81',
      'whipped-cream: cream-36 239',
      'set-filling:  <- fruit-base, whipped-cream, whipped-cream',
      'biscuit-layer: crumb-crust-ready 170',
    ],
  ],
  [
    "a marquise in biscuits",
    `Marquise au café (terrine 1 litre, 10 parts)
Beurre pommade 150 g, sucre glace 60 g...

(English below)
Soft butter 150 g, icing sugar 60 g, cocoa 60 g, strong coffee 40 ml, dark chocolate 64% 200 g, 4 yolks, whipped cream 250 g (35%), 20 langues de chat.

Melt the chocolate with the coffee at 45 °C. Cream butter and icing sugar, add cocoa, then the chocolate at 35 °C, then the yolks one by one. Fold in the cream, softly whipped. Line the terrine with film and the langues de chat. Fill, press, cover; 12 hours in the fridge. Turn out, slice 1.5 cm with a hot knife, coffee custard beside.`,
    [
      'chocolate-base: chocolate-dark-64 200, coffee-brewed 40',
      'set-filling: butter-82 150, cocoa-powder-22 60, egg-yolk 68, icing-sugar-starch 60 <- chocolate-base, whipped-cream',
      'whipped-cream: cream-35 250',
      'biscuit-layer: langue-de-chat 100',
    ],
  ],
  [
    "a table whose limes are counted behind",
    `| Lime cheesecake, 24 cm ring | g |
|---|---|
| Base | |
| Digestive biscuits | 220 |
| Butter, melted | 100 |
| Filling | |
| Full-fat cream cheese | 600 |
| Caster sugar | 140 |
| Limes, zest and juice | 4 |
| Gelatine powder | 12 |
| Water | 60 |
| Whipping cream | 400 |

Crush biscuits, mix with butter, press in the ring, chill 30 min.
Bloom gelatine in the water 10 min. Beat cheese with sugar and zest. Warm the lime juice, melt gelatine in it, beat into the cheese. Whip cream to soft peak, fold in. Pour on the base, level, set 5 h. Unmould with a hot cloth, cut in 12.`,
    [
      'pressed-base: butter-82 100, digestive 220',
      'set-filling: cream-cheese-block 600, gelatin-powder-225 12, lime-juice 112, lime-zest 12, sugar-caster 140, water 60 <- whipped-cream',
      'whipped-cream: cream-35 400',
    ],
  ],
  [
    "nests with a bare time on the tray",
    `Gooseberry & elderflower fool meringues
Makes 10

Meringue nests: 4 egg whites / 225g caster sugar / 1 tsp cornflour / few drops vanilla
Fool: 400g gooseberries, topped & tailed; 80g sugar; 3 tbsp elderflower cordial; 250ml double cream; 150g thick custard

Oven 120C. Whites to stiff peaks, sugar in a spoonful at a time, then cornflour and vanilla. Spoon 10 rounds on lined trays, hollow each with the back of the spoon. 1½ hours, leave to cool in the oven.
Simmer gooseberries with sugar till they burst, about 8 min; crush, stir in cordial, cool.
Whip cream to soft peaks, fold in custard then the fruit, leaving streaks.
Fill the nests just before serving.`,
    [
      'meringue: corn-starch 3, egg-white 132, sugar-caster 225, vanilla-extract 0',
      'fruit-base: cordial 56, gooseberry 400, sugar-caster 80',
      'whipped-cream: cream-48 250',
      'set-filling: custard-ready 150 <- fruit-base, whipped-cream',
    ],
  ],
  [
    "a tart lined with crumbs, told without capitals",
    `so for 20 people at the christening I do a lemon posset tart thing but lighter. I line a big tart tin 28cm with a packet (400g) of ginger biscuits crushed with 180g melted butter, chill it. then a litre of double cream and 250g sugar up to the boil, 3 minutes bubbling, off, in with the juice of 6 lemons, sit 15 min. meanwhile I've whipped 300ml of whipping cream to soft and when the posset's cool but not set I fold it in, pour it in the tin, and it's overnight in the fridge. top it with 500g raspberries and a dusting of icing sugar.`,
    [
      'pressed-base: butter-82 180, ginger-thin 400',
      'set-filling: cream-48 1000, lemon-juice 270, sugar-caster 250 <- whipped-cream',
      'whipped-cream: cream-35 303',
      'topping: icing-sugar-starch 0, raspberry 500',
    ],
  ],
  [
    "amounts behind dashes, eggs apart",
    `Tiramisù al pistacchio

Ingredients (8 servings)
Eggs, very fresh – 4
Sugar – 100 g
Mascarpone – 500 g
Pistachio cream – 150 g
Savoiardi – 24
Milk – 200 ml
Chopped pistachios – 50 g
Salt – a pinch

Procedure
Separate the eggs. Beat the yolks with the sugar until light; add the mascarpone a little at a time, then 100 g of the pistachio cream. Whip the whites with the salt until firm and fold them in from bottom to top.
Warm the milk with the remaining pistachio cream and let it cool. Dip the savoiardi one by one and arrange a layer in a 20 x 30 cm dish. Cover with half the cream. Repeat. Finish with the chopped pistachios. Refrigerate 6 hours.
Consume within 24 hours (raw eggs).`,
    [
      'egg-foam: egg-yolk 68, sugar-caster 100',
      'set-filling: mascarpone 500, pistachio-paste 100 <- egg-foam, egg-foam',
      'egg-foam: egg-white 132, salt 0',
      'custard: milk-whole 207, pistachio-paste 50',
      'biscuit-layer: ladyfinger 192',
      'topping: pistachio 50',
    ],
  ],
  [
    "a frozen one in chefs’ strokes",
    `FROZEN LEMON SOUFFLÉ (makes 6 individual)
Sugar syrup: 150 g sugar + 50 g water, 118 C
Egg whites 120 g
Lemon juice 90 g, zest 1 lemon
Cream 35% 400 g

- collar 6 ramekins w/ acetate, 2 cm above rim
- italian meringue w/ syrup and whites, whip till cold
- cream to soft peaks
- juice + zest into meringue, fold in cream
- pipe to top of collar, level
- freeze 6 h, temper 15 min in fridge, remove collar, dust icing sugar`,
    [
      'egg-foam: egg-white 120, lemon-juice 90, lemon-zest 5, sugar-caster 150, water 50',
      'whipped-cream: cream-35 400',
      'set-filling:  <- egg-foam, whipped-cream',
    ],
  ],
  [
    "a pie in a bought crust",
    `Grandma Jean's Million Dollar Pie

1 graham cracker crust
1 (8 ounce) package cream cheese, softened
1 can sweetened condensed milk
1/4 cup lemon juice
1 (20 ounce) can crushed pineapple, well drained
1 cup shredded coconut
1/2 cup chopped pecans
1 (8 ounce) container frozen whipped topping, thawed

In a large bowl beat cream cheese until fluffy. Gradually beat in milk until smooth. Stir in lemon juice. Fold in pineapple, coconut, pecans and topping. Spoon into crust. Chill 4 hours or until set. Garnish with maraschino cherries. Makes 8 servings. Store leftovers in refrigerator.`,
    [
      'cheese-cream: coconut-sweetened 93, condensed-milk 397, cream-cheese-block 227, lemon-juice 61, pecan 55, pineapple 567, plant-topping-sweet 227',
      'biscuit-layer: crumb-crust-ready 170',
    ],
  ],
  [
    "rice cream with its sauce beside",
    `Cardamom rice cream (ris a la malta style), 6 bowls

200 g cooked short-grain rice, cold (from 70 g raw)
300 ml whipping cream
40 g caster sugar
1 tsp vanilla sugar
60 g blanched almonds, chopped
Cherry sauce: 300 g cherries in syrup, 1 tbsp potato starch, 2 tbsp cherry liqueur

1. Drain the cherries, keep the juice. Bring the juice to the boil, thicken with the potato starch stirred into a splash of cold water, take off, add cherries and liqueur.
2. Whip the cream with the sugar and vanilla sugar to soft peaks.
3. Fold rice and almonds into the cream. 
4. Divide between bowls, chill 1–2 hours; serve with the warm sauce.`,
    [
      'fruit-base: cherry-in-syrup 300, fruit-liqueur-20 32, potato-starch 10',
      'whipped-cream: almond-flaked 60, cream-35 303, rice-pudding 200, sugar-caster 40, vanilla-sugar 4',
    ],
  ],
  [
    "a semifreddo with its purée swirled through",
    `Blackberry & bay semifreddo

Serves 8–10

400g blackberries
150g caster sugar
2 bay leaves
4 egg yolks
1 whole egg
300ml double cream

Put the blackberries in a pan with 50g of the sugar and the bay. Simmer for 10 minutes, fish out the bay, blitz and sieve. Chill.
Whisk the yolks, egg and remaining sugar in a bowl over simmering water for 6–8 minutes until thick and 72C. Take off and whisk until cold.
Softly whip the cream. Fold the egg mix into the cream, then two thirds of the purée. Tip into a lined 900g loaf tin, swirl through the rest of the purée. Freeze 6 hours.
Stand 10 minutes before slicing.`,
    [
      'fruit-base: blackberry 400, rosemary 2, sugar-caster 50',
      'egg-foam: egg-whole 50, egg-yolk 68, sugar-caster 100',
      'whipped-cream: cream-48 300',
      'set-filling:  <- egg-foam, fruit-base, whipped-cream',
    ],
  ],
  [
    "layers counted first to fourth",
    `My mother-in-law's chocolate delight, 9x13:
1st layer: 1 cup flour, 1 stick butter, 1 cup chopped pecans. Mix & pat in pan, bake 350 20 min, cool.
2nd: 8 oz cream cheese, 1 c powdered sugar, 1 c Cool whipped topping (from a 16 oz tub). beat & spread.
3rd: 2 small boxes instant chocolate pudding, 3 c milk. Beat till thick & spread.
4th: rest of the whipped topping. Sprinkle nuts. Chill overnight. 15 squares`,
    [
      'pressed-base: butter-82 113, pecan 109, wheat-flour 125',
      'set-filling: ? 0, cream-cheese-block 227, icing-sugar-starch 120',
      'custard: instant-pudding-powder 192, milk-whole 733',
    ],
  ],
  [
    "a mould from an old church book",
    `Heavenly hash from the 1950s church book: Soak 1 pkg gelatine in 1/4 cup cold water, dissolve in 1/2 cup hot pineapple juice. When it begins to thicken beat till frothy. Fold in 1 pt whipped cream sweetened with 1/2 cup sugar, 1 cup drained crushed pineapple, 1/2 cup maraschino cherries cut up, 1 cup small marshmallows and 1/2 cup chopped nuts. Pour in a mold and chill till firm. Unmold on lettuce. Serves 10.`,
    [
      'whipped-cream: cream-35 478',
      'set-filling: cashew 65, cherry-maraschino 80, gelatin-powder-225 7, juice-fruit 124, marshmallow 50, pineapple 165, sugar-caster 100 <- whipped-cream',
    ],
  ],
];
