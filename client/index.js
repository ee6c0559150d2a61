// Before everything else: see there.
import './src/no-refusals';
import 'expo-router/entry';
