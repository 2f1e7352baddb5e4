import { readdirSync, readFileSync } from 'node:fs';
import { copyOfJob, jobFieldsOf, jobFileOf, jobOfFile, slateOfFile, thingsOf, type JobWire } from '@sprell/contract';
import { readQuantity } from '@sprell/core';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestApp, type TestApp } from '../../testing/test-app.ts';

const FOLDER = new URL('../../testing/earlier/job-files/', import.meta.url);
const textOf = (name: string) => readFileSync(new URL(name, FOLDER), 'utf8');

let test: TestApp;
beforeAll(async () => {
  test = await startTestApp();
});
afterAll(() => test.close());

describe('job files of earlier versions', () => {
  it.each(readdirSync(FOLDER))('%s is read, and what it holds is kept', async (name) => {
    const { browser } = await test.guest();
    const read = jobOfFile(textOf(name), uuidv7);
    if (!read.ok) throw new Error(read.problem.sentence);
    const id = uuidv7();
    const changes = copyOfJob(read.value, read.value.title, uuidv7);
    await browser.post(`/api/jobs/${id}/changes`).send({ changes }).expect(200);
    const job = (await browser.get(`/api/jobs/${id}`)).body as JobWire;
    const { reading, lines } = job;
    // Kinds that are newer than the file are there, and empty.
    expect(JSON.parse(jobFileOf({ fields: jobFieldsOf(job), reading, lines, things: thingsOf(job) }))).toMatchObject(
      JSON.parse(textOf(name)) as object,
    );
  });

  it('come to what they came to', () => {
    const read = jobOfFile(textOf('format-1.json'), uuidv7);
    if (!read.ok) throw new Error(read.problem.sentence);
    const { style, lines } = slateOfFile(read.file);
    const reading = (number: number) => {
      const { worked } = lines.find(({ line }) => line.number === number) ?? {};
      const quantity = worked?.result.ok === true ? worked.result.quantity : undefined;
      return quantity && readQuantity(quantity, style).text;
    };
    // Half of 27' and 1' 6" rise by 6 in 12 to 90√5 in; 3 5/8" less is 197.62 in.
    expect([reading(1), reading(11), reading(20), reading(31)]).toEqual([
      '27′',
      '10′ 8 7⁄16″',
      '16′ 5 5⁄8″',
      '1′ 9 1⁄2″',
    ]);
    expect(lines.filter(({ worked }) => worked?.result.ok === false)).toEqual([]);
  });
});
