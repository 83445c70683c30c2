import type { ChoiceData, ClockData, DayLineStepData, PersonData } from './data';

declare module '@inertiajs/core' {
    interface InertiaConfig {
        sharedPageProps: {
            notice: string | null;
            person: PersonData | null;
            tiers: ChoiceData[];
            clock: ClockData | null;
            dayLine: DayLineStepData[];
        };
    }
}
