import type { ChecklistLineData, Standing } from '@/types/data';

/** How a line of a checklist stands, by a sign and a word. */
export const STANDING: Record<Standing, { mark: string; word: string }> = {
    met: { mark: '✓', word: '' },
    not_yet: { mark: '○', word: 'not yet' },
    failed: { mark: '✗', word: 'failed' },
};

/** What is said after a line: how it stands, unless it is met, and the value that was found. */
export function standingOf(line: ChecklistLineData): string {
    return [STANDING[line.standing].word, line.value].filter((word) => word !== '').join(', ');
}
