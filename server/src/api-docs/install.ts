import type { NestExpressApplication } from '@nestjs/platform-express';
import { SwaggerModule } from '@nestjs/swagger';
import { apiDocument } from './document.js';

/** The document at `/api/openapi.json`, and a page of it at `/api/docs`. Both come from here, and fetch nothing from elsewhere. */
export function installApiDocs(app: NestExpressApplication, version: string): void {
  SwaggerModule.setup('api/docs', app, apiDocument(app, version), {
    jsonDocumentUrl: 'api/openapi.json',
    yamlDocumentUrl: 'api/openapi.yaml',
    customSiteTitle: 'Candid Leaf: what can be asked',
    // a key is not kept in the browser beyond the page
    swaggerOptions: { persistAuthorization: false, validatorUrl: null },
  });
}
