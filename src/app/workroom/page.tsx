import { Button, Stack } from '@chakra-ui/react';
import { format } from 'date-fns';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { DevicesPanel } from '@/features/devices/components/devices-panel';
import { addresses, listDevices, wrongCodes } from '@/features/devices/queries';
import { MachinesPanel } from '@/features/machines/components/machines-panel';
import { machinesForm } from '@/features/machines/queries';
import { PeoplePanel } from '@/features/people/components/people-panel';
import { personAtDevice } from '@/features/people/device';
import { listPeople } from '@/features/people/queries';
import { HoursPanel } from '@/features/days/components/hours-panel';
import { getHours } from '@/features/days/queries';
import { PlacesPanel } from '@/features/room/components/places-panel';
import { roomPlaces } from '@/features/room/queries';
import { BackupPanel } from '@/features/workroom/components/backup-panel';
import { ArchivePanel } from '@/features/workroom/components/archive-panel';
import { AddressPanel } from '@/features/workroom/components/address-panel';
import { WorkroomRulesForm } from '@/features/workroom/components/workroom-rules';
import { OwnKinds } from '@/features/workroom/components/own-kinds';
import { CostingPanel } from '@/features/workroom/components/costing-panel';
import {
  workroomAddress,
  workroomLogo,
  workroomRules,
  kindNames,
  lastBackup,
  listOwnKinds,
  costingForm,
} from '@/features/workroom/queries';
import { newestBackup } from '@/features/workroom/backup';
import { PageHead } from '@/ui/page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Workroom' };

const sizeText = (bytes: number) =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} KB` : `${(bytes / 1e6).toFixed(1)} MB`;

export default async function WorkroomPage() {
  const [people, here, rules, kinds, last, costing, names, devices, tries, machines, address, places, logo, hours] =
    await Promise.all([
      listPeople(),
      personAtDevice(),
      workroomRules(),
      listOwnKinds(),
      lastBackup(),
      costingForm(),
      kindNames(),
      listDevices(),
      wrongCodes(),
      machinesForm(),
      workroomAddress(),
      roomPlaces(),
      workroomLogo(),
      getHours(),
    ]);
  return (
    <>
      <PageHead
        title="Workroom"
        about="Who works here, what new orders start with, and the covers that only this workroom makes"
      >
        <Button asChild variant="outline">
          <Link href="/guide">Measure guide</Link>
        </Button>
      </PageHead>
      <Stack gap="5">
        <PeoplePanel people={people} here={here} />
        <DevicesPanel devices={devices} addresses={addresses()} tries={tries} />
        <MachinesPanel initial={machines} />
        <AddressPanel initial={address} logo={logo} />
        <HoursPanel initial={hours} people={people} />
        <PlacesPanel initial={places} />
        <WorkroomRulesForm initial={rules} />
        <CostingPanel initial={costing} kinds={names} />
        <OwnKinds kinds={kinds} />
        <ArchivePanel />
        <BackupPanel
          last={last && { at: format(last.at, "EEEE d MMMM yyyy 'at' HH:mm"), size: sizeText(last.bytes) }}
          canTake={newestBackup() !== null}
        />
      </Stack>
    </>
  );
}
