import { plainNumber, showFigure, withUnit, type Figure } from '../core/figure';

const KIND_SAYS: Readonly<Record<Figure['kind'], string>> = {
  physics: 'Physics: holds anywhere.',
  published: 'Published: from the open literature.',
  house: 'House: a kitchen rule of thumb with a spread.',
};

const exact = (figure: Figure): string => withUnit(plainNumber(figure.value, figure.decimals), figure.unit);

/** The derivation behind a number. */
export function Working({ figure }: { readonly figure: Figure }) {
  return (
    <div className="text-[14px] leading-snug">
      <div className="flex items-baseline justify-between gap-4 pb-1">
        <h3 className="text-[16px]">{figure.name}</h3>
        <span className="fig text-[17px]">{showFigure(figure)}</span>
      </div>
      <p>{figure.words}</p>
      <p className="my-2 overflow-x-auto border-y border-steel-light py-2 font-figure text-[14.5px] font-[550]">{figure.formula}</p>
      <table className="w-full">
        <thead className="sr-only">
          <tr>
            <th>symbol</th>
            <th>what it is</th>
            <th>value</th>
          </tr>
        </thead>
        <tbody>
          {figure.inputs.map((input) => (
            <tr key={input.symbol + input.name} className="align-baseline">
              <td className="fig py-1 pr-3 text-[13px]">{input.symbol}</td>
              <td className="py-1 pr-3">
                {input.name}
                <span className="block text-[13px] text-ink-soft">{input.from}</span>
              </td>
              <td className="fig py-1 text-right">{input.value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {figure.learnt && (
        <p className="mt-2 border-t border-steel-light pt-2" data-learnt>
          {figure.learnt.says.replace(/^f/, 'F')}: four in five of the next fall in this range. The plain formula says{' '}
          <span className="fig">{figure.learnt.plain}</span>.
        </p>
      )}
      <p className="mt-2 border-t border-steel-light pt-2 text-[13px] text-ink-soft">
        {KIND_SAYS[figure.kind]}
        {figure.spread !== null && !figure.learnt && ` Two outcomes in three lie within ±${Math.round(100 * figure.spread)}\u00a0% of ${exact(figure)}.`}{' '}
        {figure.source}
        {figure.limits ? ` ${figure.limits}` : ''}
      </p>
    </div>
  );
}
