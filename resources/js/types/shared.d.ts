import type { ClockData, DayLineStepData, PersonData } from './data';

declare module '@inertiajs/core' {
    interface InertiaConfig {
        sharedPageProps: {
            notice: string | null;
            person: PersonData | null;
            clock: ClockData | null;
            dayLine: DayLineStepData[];
        };
    }
}
