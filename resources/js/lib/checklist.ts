import type { Standing } from '@/types/data';

/** How a line of a checklist stands, by a sign and a word. */
export const STANDING: Record<Standing, { mark: string; word: string }> = {
    met: { mark: '✓', word: '' },
    not_yet: { mark: '○', word: 'not yet' },
    failed: { mark: '✗', word: 'failed' },
};
