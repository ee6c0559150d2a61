import { View } from 'react-native';
import { router } from 'expo-router';
import { Button, Empty } from '../src/kit';

export default function NotFound() {
  return (
    <View className="flex-1 gap-4 bg-limewash p-6">
      <Empty says="There is no such page. The address may have been cut short." />
      <Button label="All jobs" onPress={() => router.replace('/')} />
    </View>
  );
}
