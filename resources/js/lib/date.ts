/** The day a person picked, as the application writes dates; null for none. */
export function iso(day: unknown): string | null {
    if (!(day instanceof Date)) {
        return null;
    }
    const two = (part: number): string => String(part).padStart(2, '0');
    return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
}

/** The day of a date as the application writes it, for a date field; null for none. */
export function dayOf(date: string): Date | null {
    return date === '' ? null : new Date(`${date}T12:00:00`);
}
