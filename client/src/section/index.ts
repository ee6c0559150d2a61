export { Section, sectionWords, Strip, type SectionCoat } from './Section';
