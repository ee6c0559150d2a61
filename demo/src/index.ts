export { quillPoint } from './quill-point';
export { examples } from './examples';
export { largeJob } from './large';
