import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

const root = new URL('../../..', import.meta.url).pathname;

/** What somebody reads: the catalogue, the tables of the trade, the papers. */
const READ = [
  'packages/web/src/messages',
  'packages/knowledge/src/mechanisms',
  'packages/knowledge/src/tables',
  'packages/knowledge/src/bobbins',
  'packages/knowledge/src/needles',
  'packages/knowledge/src/surfaces',
  'packages/server/src/documents',
];

/** The retired words with what is written instead, from the glossary. */
function retired(): readonly (readonly [word: string, instead: string])[] {
  const glossary = readFileSync(join(root, 'docs/glossary.md'), 'utf8');
  const [, table = ''] = glossary.split('## Retired words');
  return [...table.matchAll(/^\| ([^|]+) \| ([^|]+) \|$/gm)]
    .map(([, word = '', instead = '']) => [word.trim(), instead.trim()] as const)
    .filter(([word]) => word !== 'retired' && !word.startsWith('-'));
}

/** The texts in the sources of a folder: string and template literals that are no ids and no names. */
function textsIn(folder: string): readonly string[] {
  return readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts'))
    .flatMap((file) => {
      const source = readFileSync(join(root, folder, file), 'utf8');
      const texts: string[] = [];
      const visit = (node: ts.Node) => {
        if (ts.isImportDeclaration(node)) return;
        if (ts.isStringLiteralLike(node) || ts.isTemplateHead(node)) texts.push(node.text);
        if (ts.isTemplateMiddle(node) || ts.isTemplateTail(node)) texts.push(node.text);
        ts.forEachChild(node, visit);
      };
      visit(ts.createSourceFile(file, source, ts.ScriptTarget.Latest));
      return texts.filter((text) => !/^[\w.:*-]*$/.test(text));
    });
}

/** The retired words that a text uses, as whole words. */
function retiredIn(text: string): readonly string[] {
  const low = text.toLowerCase();
  return retired()
    .filter(([word]) => new RegExp(`(?<![\\w-])${word}(?![\\w-])`).test(low))
    .map(([word, instead]) => `“${word}” (write: ${instead}) in: ${text}`);
}

describe('words on the screen', () => {
  it('are none of the retired ones', () => {
    const texts = READ.flatMap(textsIn);
    expect(texts.length).toBeGreaterThan(1500);
    expect(texts.flatMap(retiredIn)).toEqual([]);
  });

  it('would be found: the list is read and used', () => {
    expect(retired().length).toBeGreaterThan(40);
    expect(retiredIn('Ready to tie the knot')).toHaveLength(1);
    expect(retiredIn('The knot lies below')).toEqual([]);
  });
});
