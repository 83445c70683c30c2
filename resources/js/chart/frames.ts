import type { TimeFrame } from '@/types/data';

/** The time frames of a chart, the smallest first. */
export const FRAMES: { value: TimeFrame; label: string; name: string }[] = [
    { value: '5m', label: '5 min', name: '5 minutes' },
    { value: '30m', label: '30 min', name: '30 minutes' },
    { value: '1h', label: 'Hour', name: 'hour' },
    { value: '4h', label: '4 h', name: '4 hours' },
    { value: '1d', label: 'Day', name: 'day' },
    { value: '1w', label: 'Week', name: 'week' },
    { value: '1mo', label: 'Month', name: 'month' },
    { value: '3mo', label: 'Quarter', name: 'quarter' },
];
