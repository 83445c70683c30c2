import { describe, expect, it } from 'vitest';
import { draggedR, nudge, signed, snap } from './price';

const cents = { decimals: 2, tick: '0.01' };
const halves = { decimals: 1, tick: '0.5' };
const tiny = { decimals: 4, tick: '0.0001' };

describe('prices', () => {
    it('snap to the tick', () => {
        expect(snap(41.2049, cents)).toBe('41.20');
        expect(snap(2410.76, halves)).toBe('2411.0');
        expect(snap(0.02134, tiny)).toBe('0.0213');
        expect(snap(-3, cents)).toBe('0.01');
    });

    it('move by ticks without rounding creeping in', () => {
        expect(nudge('0.29', 1, cents)).toBe('0.30');
        expect(nudge('1.10', -10, cents)).toBe('1.00');
        expect(nudge('2410.5', 1, halves)).toBe('2411.0');
        expect(nudge('0.0001', -1, tiny)).toBe('0.0001');
    });

    it('are told in R while they are dragged, long and short', () => {
        expect(draggedR(44, 41.25, 39.85)).toBe('1.96');
        expect(draggedR(80, 84, 86)).toBe('2.00');
    });

    it('are signed with a real minus', () => {
        expect(signed('-1.5')).toBe('−1.5');
        expect(signed('2.2500', 2)).toBe('+2.25');
        expect(signed('0.00')).toBe('0.00');
        expect(signed('-0.02', 1)).toBe('0.0');
        expect(signed(null)).toBe('–');
    });
});
