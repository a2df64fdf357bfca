/** Entry of the thread that reads codes. */
import { codeIn, type CodePicture } from './read-code';

const scope = self as unknown as {
  postMessage(message: string | null): void;
  onmessage: ((event: { data: CodePicture }) => void) | null;
};

scope.onmessage = ({ data }) => scope.postMessage(codeIn(data));
