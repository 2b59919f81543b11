<template><h1>today</h1></template>
