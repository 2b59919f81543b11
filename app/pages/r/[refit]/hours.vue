<template><h1>hours</h1></template>
