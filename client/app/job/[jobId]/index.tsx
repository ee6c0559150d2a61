import { Redirect, useLocalSearchParams } from 'expo-router';

export default function JobIndex() {
  const { jobId } = useLocalSearchParams<{ jobId: string }>();
  return <Redirect href={`/job/${jobId}/walk`} />;
}
