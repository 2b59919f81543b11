<template>
  <div class="grid max-w-5xl gap-8">
    <h1>Settings</h1>
    <DeviceSettings />
    <PeopleSettings />
    <HaulOutSettings />
    <PlaceSettings />
    <LyingSettings />
    <CoverSettings />
    <DayLevers />
    <BoatSettings />
    <LicenceSettings />
    <ZoneSettings />
    <ProductSettings />
    <FileSettings />
  </div>
</template>
