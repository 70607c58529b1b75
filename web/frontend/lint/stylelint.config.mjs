export default {
  extends: 'stylelint-config-recommended',
  rules: {
    'at-rule-no-unknown': [true, { ignoreAtRules: ['theme', 'layer', 'utility', 'source', 'apply', 'custom-variant', 'variant'] }],
    'no-descending-specificity': null,
    // Tailwind's own words stand between the files that are brought in
    'no-invalid-position-at-import-rule': [true, { ignoreAtRules: ['source'] }],
  },
};
