export { Words } from './Words';
export { Button } from './Button';
export { StateChip, StateMark, type Shown } from './StateMark';
export { SourceChecksProvider, UnitsProvider, useDay, useSourceChecks, useUnits, useWhen, ZoneProvider } from './Units';
export { FilePick } from './FilePick';
export { FieldFrame, LengthField, NumberField, Pick, Select, TextField, Ticks, Toggle, type Option } from './Fields';
export { Column, Columns, Empty, Figure, Folded, Later, NextBar, Panel, Problems, Row, VerdictEdge } from './Blocks';
export { useWide } from './layout';
export { useRefused } from './refusals';
