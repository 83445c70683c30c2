/**
 * Which state of the plan the person has before their eyes: sent with every change, so that one made on top of what someone
 * else changed meanwhile can be refused.
 */
let seen: string | null = null;

export const REVISION_HEADER = 'X-Plan-Revision';

export function see(planId: number, revision: number): void {
    seen = `${planId}:${revision}`;
}

export function revisionHeaders(): Record<string, string> {
    return seen === null ? {} : { [REVISION_HEADER]: seen };
}
