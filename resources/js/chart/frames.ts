import type { TimeFrame } from '@/types/data';

/** The time frames of a chart, the smallest first, each with its key. */
export const FRAMES: { value: TimeFrame; label: string; name: string; key: string }[] = [
    { value: '5m', label: '5 min', name: '5 minutes', key: 'f' },
    { value: '30m', label: '30 min', name: '30 minutes', key: 'i' },
    { value: '1h', label: 'Hour', name: 'hour', key: 'h' },
    { value: '4h', label: '4 h', name: '4 hours', key: 'u' },
    { value: '1d', label: 'Day', name: 'day', key: 'd' },
    { value: '1w', label: 'Week', name: 'week', key: 'w' },
    { value: '1mo', label: 'Month', name: 'month', key: 'y' },
    { value: '3mo', label: 'Quarter', name: 'quarter', key: 'q' },
];
