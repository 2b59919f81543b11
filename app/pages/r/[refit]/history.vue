<template><h1>history</h1></template>
