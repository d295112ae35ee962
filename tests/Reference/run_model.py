"""The run model once more, written from its equations alone, solved by SciPy to twelve digits in each step: where a balloon
runs empty its flow falls with a square root, and there the digits of a step are not those of the result.

Follows the volume itself, not the variable that core/Simulation uses, and finds the exit speed by fixed point.
"""
import numpy as np
from scipy.integrate import solve_ivp
from scipy.optimize import brentq

G = 9.80665


def solve(design, method="DOP853", rtol=1e-12, atol=1e-15, fine=True, place=None):
    air = {"temperature_c": 20, "pressure_pa": 101325, "relative_humidity": 0.5, **design.get("air", {})}
    b = {"count": 1, "modulus_pa": 300000, "hardening": 0.1, "drag_coefficient": 0.47, **design["balloon"]}
    n = {"parallel": 1, "entry_loss": 0.5, "extra_loss": 0, "angle_deg": 0, **design["nozzle"]}
    c = {"wheel_equivalent_mass_kg": 0.004, "breakaway_ratio": 1.0, "body_drag_area_m2": 0.003, **design["car"]}
    v0 = design.get("start", {}).get("speed_m_s", 0.0)

    def density(t, humidity):
        vapour = humidity * 610.94 * np.exp(17.625 * t / (t + 243.04))
        return (air["pressure_pa"] - vapour) / (287.05287 * (t + 273.15)) + vapour / (461.495 * (t + 273.15))

    room = density(air["temperature_c"], air["relative_humidity"])
    jet, humidity = (34.0, 1.0) if b.get("filled_by") == "mouth" else (air["temperature_c"], air["relative_humidity"])
    rho, kelvin = density(jet, humidity), jet + 273.15
    mu = 1.458e-6 * kelvin ** 1.5 / (kelvin + 110.4)

    d0, count, mass, f = b["relaxed_diameter_m"], b["count"], c["mass_kg"], c["rolling_coefficient"]
    empty = 1.0001 * np.pi * d0 ** 3 / 6
    tubes = [(s["bore_m"], s["length_m"], np.pi / 4 * s["bore_m"] ** 2) for s in n["segments"]]
    ae = tubes[-1][2]
    theta = np.radians(n["angle_deg"])

    def friction(re):
        if re <= 2300:
            return 64 / re
        if re >= 4000:
            return 0.3164 * re ** -0.25
        return 64 / 2300 + (0.3164 * 4000 ** -0.25 - 64 / 2300) * (re - 2300) / 1700

    joints = n["entry_loss"] * (ae / tubes[0][2]) ** 2
    for (_, _, a1), (_, _, a2) in zip(tubes, tubes[1:]):
        joints += 0.5 * (1 - a2 / a1) * (ae / a2) ** 2 if a2 <= a1 else (1 - a1 / a2) ** 2 * (ae / a1) ** 2

    def exit_speed(p):
        if p <= 0:
            return 0.0
        v = np.sqrt(2 * p / rho)
        for _ in range(2000):
            k = 1 + n["extra_loss"] + joints + sum(
                friction(rho * v * ae / a * d / mu) * length / d * (ae / a) ** 2 for d, length, a in tubes if length > 0)
            new = np.sqrt(2 * p / (rho * k))
            if abs(new - v) <= 1e-14 * new:
                return new
            v = new
        return v

    def pressure(volume):
        s = (6 * volume / np.pi) ** (1 / 3) / d0
        return 0.0 if s <= 1 else 2 * b["modulus_pa"] * b["film_thickness_m"] / (d0 / 2) * (1 / s - s ** -7) * (1 + b["hardening"] * s * s)

    def forces(volume, v, blowing):
        p = pressure(volume) if blowing else 0.0
        ve = exit_speed(p)
        q = n["parallel"] * ae * ve
        thrust = count * rho * q * ve
        diameter = (6 * volume / np.pi) ** (1 / 3)
        rolling = f * max(0.0, mass * G - thrust * np.sin(theta))
        drag = 0.5 * room * v * abs(v) * (count * b["drag_coefficient"] * np.pi * diameter ** 2 / 4 + c["body_drag_area_m2"])
        inertia = mass + c["wheel_equivalent_mass_kg"] + count * (rho + 0.5 * room) * volume
        return p, ve, q, thrust, rolling, drag, inertia

    def rhs(blowing):
        def slope(_, y):
            volume = y[2]
            p, _, q, thrust, rolling, drag, inertia = forces(volume, y[1], blowing)
            q += b.get("leak_area_m2", 0.0) * np.sqrt(2 * p / rho)
            push = thrust * np.cos(theta)
            return [y[1], (push - rolling - drag) / inertia, -q, thrust, push * y[1], rolling * y[1], drag * y[1], count * p * q]
        return slope

    full = np.pi * b["inflated_diameter_m"] ** 3 / 6
    p, ve, q, thrust, rolling, _, _ = forces(full, 0.0, full > empty)
    out = {"initial": {"gauge_pressure_pa": p, "exit_speed_m_s": ve, "thrust_n": thrust, "flow_m3_s": count * q}}
    moves = v0 > 0 or thrust * np.cos(theta) > c["breakaway_ratio"] * rolling
    y, time, limp, stopped, peak = [0.0, v0, full, 0, 0, 0, 0, 0], 0.0, None, not moves, v0
    went_empty = lambda _, y: y[2] - empty
    stood_still = lambda _, y: y[1] if _ > 1e-9 else 1.0
    went_empty.terminal = stood_still.terminal = True
    went_empty.direction = stood_still.direction = -1
    passed = None
    for blowing in (True, False):
        if stopped:
            break
        if blowing and full <= empty:
            limp = {"time_s": 0.0, "distance_m": 0.0, "speed_m_s": v0}
            continue
        events = [stood_still, went_empty] if blowing else [stood_still]
        run = solve_ivp(rhs(blowing), (time, time + 1e5), y, method=method, rtol=rtol, atol=atol, events=events, dense_output=True)
        if place is not None and passed is None and run.y[0, -1] >= place:
            passed = float(brentq(lambda at: run.sol(at)[0] - place, run.t[0], run.t[-1]))
        if fine:
            peak = max(peak, float(run.sol(np.linspace(run.t[0], run.t[-1], 4001))[1].max()))
        time, y, stopped = float(run.t[-1]), run.y[:, -1].copy(), len(run.t_events[0]) > 0
        if blowing and not stopped:
            y[2] = empty
            limp = {"time_s": time, "distance_m": float(y[0]), "speed_m_s": float(y[1])}
    return {"moves": bool(moves), "distance_m": float(y[0]), "stop_time_s": time, "peak_speed_m_s": peak, "passed_s": passed, "impulse_n_s": float(y[3]),
            **out, "balloon_empty": limp,
            "energy_j": {"stored": float(y[7]), "thrust_work": float(y[4]), "rolling": float(y[5]), "drag": float(y[6])}}
