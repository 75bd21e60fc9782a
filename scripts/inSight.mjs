/** Short names that mean something only beside what they stand for: used farther off, they get a name of their own. */
const SHORT = new Set(['own', 'at', 'of', 'it']);
const LINES_IN_SIGHT = 3;
const inSight = {
  create: (context) => ({
    'Program:exit'() {
      for (const scope of context.sourceCode.scopeManager.scopes)
        for (const { name, identifiers, references } of scope.variables) {
          const [declared] = identifiers;
          if (!SHORT.has(name) || !declared) continue;
          const last = Math.max(...references.map(({ identifier }) => identifier.loc.start.line));
          if (last - declared.loc.start.line > LINES_IN_SIGHT)
            context.report({
              node: declared,
              message: `“${name}” is still used ${last - declared.loc.start.line} lines on: give it a name.`,
            });
        }
    },
  }),
};

/** The house’s own rules of lint. */
export default { meta: { name: 'house' }, rules: { 'in-sight': inSight } };
