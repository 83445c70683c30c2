/** A number as it is read: fixed decimals, a real minus sign, a plus where a change is told. */
export function plain(value: number | null, digits: number): string {
    return value === null ? '–' : value.toFixed(digits).replace('-', '−');
}

export function change(value: number | null, digits: number): string {
    if (value === null) {
        return '–';
    }
    const body = Math.abs(value).toFixed(digits);
    return Number(body) === 0 ? body : `${value > 0 ? '+' : '−'}${body}`;
}

/** A share of 0 to 1 as whole percent. */
export function percent(share: number | null): string {
    return share === null ? '–' : `${Math.round(share * 100)} %`;
}
