import type { NestExpressApplication } from '@nestjs/platform-express';
import { apiDocument } from './document.js';
import { apiPage } from './page.js';

/** Serves the document at `/api/openapi.json` and a page at `/api/docs`, built on first use. */
export function installApiDocs(app: NestExpressApplication, version: string): void {
  let made: { json: string; page: string } | null = null;
  const docs = (): { json: string; page: string } => {
    if (!made) {
      const document = apiDocument(app, version);
      made = { json: JSON.stringify(document), page: apiPage(document) };
    }
    return made;
  };
  const http = app.getHttpAdapter().getInstance();
  http.get('/api/openapi.json', (_, response) => response.type('json').send(docs().json));
  http.get('/api/docs', (_, response) => response.type('html').send(docs().page));
}
