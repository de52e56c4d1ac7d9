import type { AddressInfo } from 'node:net';
import { type ParsedMail, simpleParser } from 'mailparser';
import { SMTPServer } from 'smtp-server';

export interface Got {
  readonly returnTo: string;
  readonly to: string;
  readonly raw: string;
  readonly mail: ParsedMail;
}

/** A mail server on this machine that keeps what it gets, and refuses whom it is told to. */
export interface TestMailServer {
  readonly url: string;
  readonly got: Got[];
  /** Address → what is answered to it. */
  readonly refusals: Map<string, { readonly code: number; readonly words: string }>;
  readonly close: () => Promise<void>;
}

export async function startMailServer(port = 0): Promise<TestMailServer> {
  const got: Got[] = [];
  const refusals: TestMailServer['refusals'] = new Map();
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onRcptTo({ address }, _session, done) {
      const refusal = refusals.get(address);
      done(refusal ? Object.assign(new Error(refusal.words), { responseCode: refusal.code }) : null);
    },
    onData(stream, { envelope }, done) {
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.on('end', () => {
        const raw = Buffer.concat(parts).toString('utf8');
        void simpleParser(raw).then((mail) => {
          const returnTo = envelope.mailFrom === false ? '' : envelope.mailFrom.address;
          got.push({ returnTo, to: envelope.rcptTo[0]?.address ?? '', raw, mail });
          done(null);
        });
      });
    },
  });
  await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve));
  const { port: own } = server.server.address() as AddressInfo;
  return {
    ...{ url: `smtp://127.0.0.1:${own}`, got, refusals },
    close: () => new Promise((resolve) => server.close(resolve)),
  };
}

/** What comes back of a mail that nobody could deliver, or not yet (RFC 3464). */
export function reportOn({ raw, returnTo, to }: Got, action: 'failed' | 'delayed' = 'failed'): string {
  const head = raw.slice(0, raw.search(/\r?\n\r?\n/));
  return [
    'From: Mail Delivery <postmaster@quillmail.example>',
    `To: <${returnTo}>`,
    'Subject: Undelivered',
    'MIME-Version: 1.0',
    'Content-Type: multipart/report; report-type=delivery-status; boundary="edge"',
    ...['', '--edge', 'Content-Type: text/plain', '', 'We are sorry.', ''],
    ...['--edge', 'Content-Type: message/delivery-status', '', 'Reporting-MTA: dns; quillmail.example', ''],
    ...[`Final-Recipient: rfc822; ${to}`, `Action: ${action}`, 'Status: 5.1.1'],
    ...['Diagnostic-Code: smtp; 550 5.1.1 no such mailbox', ''],
    ...['--edge', 'Content-Type: text/rfc822-headers', '', head, '', '--edge--', ''],
  ].join('\r\n');
}
