/** The shape of a table of sentences: one for each code, made of the facts and of nothing else. */
import type { Units } from '../../trade/units';

export type Sentence<P> = (params: P, units: Units) => string;
export type Sentences<Params> = { readonly [Code in keyof Params]: Sentence<Params[Code]> };
