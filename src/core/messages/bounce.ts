/** What a report on a mail's delivery says of one recipient (RFC 3464). */
export interface DeliveryReport {
  readonly action: 'failed' | 'delayed' | 'delivered';
  /** In the words of whoever could not deliver it; '' where none are there. */
  readonly why: string;
}

const longestWhy = 200;

/**
 * Reads the fields of a delivery report: `Action: failed`, `Status: 5.1.1`, `Diagnostic-Code: smtp; 550 no such user`.
 * Lines that begin with a blank go on with the one before.
 * @param text the part `message/delivery-status`
 * @returns the worst that is said of any recipient; undefined where the text is no such report
 */
export function readDeliveryReport(text: string): DeliveryReport | undefined {
  const blocks = text
    .replace(/\r\n/g, '\n')
    .replace(/\n[ \t]+/g, ' ')
    .split(/\n\s*\n/);
  const reports = blocks.flatMap((block) => {
    const action = fieldOf(block, 'action')?.toLowerCase();
    if (action === undefined) return [];
    const said = fieldOf(block, 'diagnostic-code')?.replace(/^\s*[\w-]+\s*;\s*/, '');
    const why = (said ?? fieldOf(block, 'status') ?? '').slice(0, longestWhy);
    const kind = action === 'failed' || action === 'delayed' ? action : 'delivered';
    return [{ action: kind, why } as const];
  });
  return reports.toSorted((a, b) => gravity.indexOf(a.action) - gravity.indexOf(b.action))[0];
}

const gravity: readonly DeliveryReport['action'][] = ['failed', 'delayed', 'delivered'];

function fieldOf(block: string, name: string): string | undefined {
  const line = block.split('\n').find((one) => one.toLowerCase().startsWith(`${name}:`));
  return line?.slice(name.length + 1).trim();
}

/** The name of a mail within an address that is its own: `reminders+KEY@house.example`, `<KEY@house.example>`. */
export const mailKeyLength = 24;

/** Every name of a mail that a text could hold. */
export function mailKeysIn(text: string): readonly string[] {
  const found = text.matchAll(new RegExp(`(?<![a-z0-9])([a-z0-9]{${mailKeyLength}})@`, 'g'));
  return [...new Set([...found].flatMap(([, key]) => (key === undefined ? [] : [key])))];
}

/** The address that reports on one mail come back to: `reminders+KEY@house.example`. */
export function returnAddress(from: string, key: string): string {
  const at = from.lastIndexOf('@');
  return `${from.slice(0, at)}+${key}${from.slice(at)}`;
}
