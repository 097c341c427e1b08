// ESLint rule: phrases that read as translated, with what a service manual would say instead.

/**
 * Phrases with enough of their context that the words themselves stay free: a hole, a plug or a
 * lead is a fine thing, and a jack may stand on the ground.
 */
export const phrases = [
  {
    is: /\b(led|leading|leads?(?= (it|them|one of them) )|leads?(?= nowhere))( it| them| one of them)? (through|over|anew|another way|nowhere|on from)\b/iu,
    say: 'route, connect',
  },
  { is: /\bhangs? (on|there)\b/iu, say: 'is fed from, is fitted to, depends on' },
  { is: /\bstands? against\b/iu, say: 'has findings' },
  { is: /\btold (with|by)\b/iu, say: 'shown with, named by' },
  { is: /\breckon(s|ed|ing)?\b/iu, say: 'calculate' },
  { is: /\banew\b/iu, say: 'again' },
  { is: /\bworked out\b/iu, say: 'calculated' },
  { is: /\bput away\b/iu, say: 'archive' },
  { is: /\b(bring|brings|brought) (it |them )?in\b/iu, say: 'import' },
  { is: /\btaken? away\b/iu, say: 'remove, download' },
  { is: /\bin behind\b/iu, say: 'after' },
  { is: /\bbox to fail\b/iu, say: 'single point of failure' },
  { is: /\btakes (much |more )?pressure\b/iu, say: 'pressure drop' },
  { is: /\bas it stands\b/iu, say: 'as it is' },
  { is: /\bfor nothing\b/iu, say: 'never used' },
  { is: /\b(comes|come) (down )?to nothing\b/iu, say: 'is zero' },
];

/** The first phrase of a text that is on the list. */
export const phraseIn = (text) => {
  for (const { is, say } of phrases) {
    const found = is.exec(text);
    if (found) return { phrase: found[0], say };
  }
  return undefined;
};

export const plainEnglish = {
  meta: {
    type: 'suggestion',
    schema: [],
    messages: { phrase: '“{{phrase}}” reads as translated; say: {{say}}' },
  },
  create(context) {
    const look = (node, text) => {
      const found = text.includes(' ') ? phraseIn(text) : undefined;
      if (found) context.report({ node, messageId: 'phrase', data: found });
    };
    return {
      Literal: (node) => typeof node.value === 'string' && look(node, node.value),
      TemplateElement: (node) => look(node, node.value.cooked ?? ''),
      JSXText: (node) => look(node, node.value),
    };
  },
};
