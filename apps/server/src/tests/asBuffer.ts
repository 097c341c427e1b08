import type request from 'supertest';

/** Reads the body of a reply as bytes. */
export const asBuffer: Parameters<request.Test['parse']>[0] = (reply, done) => {
  const chunks: Buffer[] = [];
  reply.on('data', (chunk: Buffer) => chunks.push(chunk));
  reply.on('end', () => done(null, Buffer.concat(chunks)));
};
