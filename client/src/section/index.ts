export { finishedCoats, Section, sectionCoats, sectionWords, Strip, type SectionCoat } from './Section';
