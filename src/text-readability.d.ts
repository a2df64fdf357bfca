/** The part of the package that the tests use: it ships no types. */
declare module 'text-readability' {
  const readability: {
    /** Grade of school in the United States that reads the text (Flesch and Kincaid). */
    fleschKincaidGrade(text: string): number;
  };
  export default readability;
}
