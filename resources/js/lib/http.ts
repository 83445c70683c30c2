import { revisionHeaders } from './revision';

/** What the server refused, by field, in its own words. */
export class Refusal extends Error {
    constructor(readonly errors: Record<string, string>) {
        super(Object.values(errors)[0] ?? 'The change was refused.');
    }
}

function token(): string {
    const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
    return cookie === undefined ? '' : decodeURIComponent(cookie.slice('XSRF-TOKEN='.length));
}

/**
 * Ask the application for JSON. A refused change is told as a {@link Refusal}; anything else that goes wrong as an
 * error that says what was kept.
 */
export async function send<T>(method: 'GET' | 'POST' | 'PATCH' | 'DELETE', url: string, body?: unknown): Promise<T> {
    let response: Response;
    try {
        response = await fetch(url, {
            method,
            headers: {
                Accept: 'application/json',
                'X-XSRF-TOKEN': token(),
                ...revisionHeaders(),
                // a form says by itself how its parts are told apart
                ...(body instanceof FormData ? {} : { 'Content-Type': 'application/json' }),
            },
            body: body === undefined ? null : body instanceof FormData ? body : JSON.stringify(body),
        });
    } catch {
        throw new Error('The server cannot be reached. Nothing was changed; try again in a moment.');
    }
    if (response.status === 422) {
        const { errors } = (await response.json()) as { errors: Record<string, string[]> };
        throw new Refusal(Object.fromEntries(Object.entries(errors).map(([field, messages]) => [field, messages[0] ?? ''])));
    }
    if (response.status === 401 || response.status === 419) {
        throw new Error('You are signed out. Your draft is kept; sign in again to go on.');
    }
    if (!response.ok) {
        const message = await response
            .json()
            .then((data: { message?: string }) => data.message)
            .catch(() => undefined);
        throw new Error(message ?? `The server answered ${response.status}. Nothing was changed.`);
    }
    return (await response.json()) as T;
}

/** Send a file under a name, and what comes back. */
export function sendFile<T>(url: string, name: string, file: File): Promise<T> {
    const form = new FormData();
    form.append(name, file);
    return send<T>('POST', url, form);
}
