import type { Server } from 'node:http';
import PostalMime from 'postal-mime';
import { SMTPServer } from 'smtp-server';
import { listen } from './listening.js';

/** A received mail. */
export interface KeptMail {
  /** its Message-ID: the same twice is one mail to a mail program */
  id: string;
  at: string;
  to: string[];
  subject: string;
  text: string;
}

export interface MailStandIn {
  /** where mail is accepted, `smtp://…` */
  smtpUrl: string;
  /** where received mail can be read: a page at `/`, JSON at `/mails?to=…` */
  url: string;
  close: () => Promise<void>;
}

const MOST_KEPT = 500;
const MOST_BYTES = 1_000_000;

/** A simulated mail server on loopback: it accepts every mail, forwards none, and shows what came. */
export async function startMail(smtpPort = 0, port = 0): Promise<MailStandIn> {
  const kept: KeptMail[] = [];
  const smtp = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS', 'AUTH'],
    size: MOST_BYTES,
    onData(stream, session, done) {
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.on('end', () => {
        if (stream.sizeExceeded) return done(new Error('this mail is too large'));
        PostalMime.parse(Buffer.concat(parts)).then(
          ({ messageId = '', subject = '', text = '' }) => {
            const to = session.envelope.rcptTo.map((r) => r.address);
            kept.unshift({ id: messageId, at: new Date().toISOString(), to, subject, text });
            kept.length = Math.min(kept.length, MOST_KEPT);
            done();
          },
          (error: Error) => done(error),
        );
      });
    },
  });
  const web = await listen((request, response) => {
    const url = new URL(request.url ?? '/', 'http://mail');
    const to = url.searchParams.get('to');
    const wanted = to ? kept.filter((m) => m.to.includes(to)) : kept;
    if (url.pathname === '/mails')
      response.writeHead(200, { 'content-type': 'application/json' }).end(JSON.stringify(wanted));
    else if (url.pathname === '/')
      response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(pageOf(wanted));
    else response.writeHead(404).end();
  }, port);
  await new Promise<void>((done, fail) => {
    smtp.once('error', fail);
    smtp.listen(smtpPort, '127.0.0.1', done);
  });
  smtp.on('error', () => undefined); // a sender that disconnects is not an error
  return {
    smtpUrl: `smtp://127.0.0.1:${portOf(smtp.server as unknown as Server)}`,
    url: web.url,
    close: async () => {
      await new Promise<void>((done) => smtp.close(done));
      await web.close();
    },
  };
}

const portOf = (server: Server): number => {
  const at = server.address();
  return typeof at === 'object' && at ? at.port : 0;
};

const LETTERS: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const plain = (text: string): string => text.replace(/[&<>"]/g, (letter) => LETTERS[letter] ?? letter);

const pageOf = (mails: readonly KeptMail[]): string =>
  `<!doctype html><html lang="en"><title>Mail that was sent</title><meta name="viewport" content="width=device-width">
<body style="font:1rem/1.5 sans-serif;max-width:44rem;margin:2rem auto;padding:0 1rem"><h1>Mail that was sent</h1>
${mails.length === 0 ? '<p>None yet.</p>' : mails.map((m) => `<article><h2>${plain(m.subject)}</h2><p>${plain(m.to.join(', '))}, ${m.at}</p><pre style="white-space:pre-wrap">${plain(m.text)}</pre></article>`).join('<hr>')}
</body></html>`;
