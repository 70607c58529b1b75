export default { printWidth: 160, singleQuote: true, overrides: [{ files: '*.css', options: { singleQuote: false, printWidth: 140 } }] };
