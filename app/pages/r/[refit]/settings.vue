<template><h1>settings</h1></template>
