import { JobFilesScreen } from "@/shop/job-files/job-files-screen";

export default function Page() {
  return <JobFilesScreen />;
}
