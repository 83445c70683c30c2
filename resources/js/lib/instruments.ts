import type { CandidateFactData } from '@/types/data';

/** An instrument in a table of several: figures in the order of its columns. */
export interface InstrumentRow {
    id: number;
    symbol: string;
    kind: string;
    name: string;
    marks: string[];
    closes: number[];
    figures: string[];
    facts: CandidateFactData[];
    isOwn: boolean;
    onList: boolean;
}
