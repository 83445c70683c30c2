import type { ChoiceData } from '@/types/data';

/** From which tier on something is meant to be read; the lowest is everyone. */
export function readers(tiers: ChoiceData[]): ChoiceData[] {
    return tiers.map(({ value, label }, i) => ({ value, label: i === 0 ? 'Everyone' : `${label} and up` }));
}
