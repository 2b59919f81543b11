<template><h1>week</h1></template>
