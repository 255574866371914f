import type { YAMLError } from 'yaml'

/** What is wrong with a text that is no YAML, as a person would say it. */
const sentences: Partial<Record<YAMLError['code'], string>> = {
  ALIAS_PROPS: 'A reference with * carries nothing of its own.',
  BAD_ALIAS: 'This name after & or * cannot be read.',
  BAD_COLLECTION_TYPE: 'A list and named entries are mixed here.',
  BAD_DQ_ESCAPE: 'After a backslash in double quotes stands a letter that means nothing there.',
  BAD_INDENT: 'This line does not start where the lines of its block do.',
  BAD_PROP_ORDER: 'The & or ! stands in the wrong place.',
  BAD_SCALAR_START: 'A word cannot begin with this sign. Put it in quotes.',
  BLOCK_AS_IMPLICIT_KEY: 'A name before a colon goes over several lines. Is a quote or a dash missing above?',
  BLOCK_IN_FLOW: 'Between brackets everything stands on one line with commas.',
  DUPLICATE_KEY: 'This name stands twice in the same entry.',
  KEY_OVER_1024_CHARS: 'A name before a colon is too long. Is a quote missing?',
  MISSING_CHAR: 'A comma, quote, bracket or space is missing here.',
  MULTILINE_IMPLICIT_KEY: 'A name before a colon goes over several lines. Is a quote missing?',
  MULTIPLE_ANCHORS: 'Two & names stand at one entry.',
  MULTIPLE_DOCS: 'Only one layout fits into a file: take the line --- out.',
  TAB_AS_INDENT: 'A tab stands before this line. Use blanks.',
  TAG_RESOLVE_FAILED: 'The word after ! says nothing here.',
  UNEXPECTED_TOKEN: 'Something stands here that does not belong. Is a quote or bracket left open?',
}

/** The sentence for an error of the YAML reader. */
export function yamlSentence(error: YAMLError): string {
  return sentences[error.code] ?? 'This cannot be read as YAML.'
}
