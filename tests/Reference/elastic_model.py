"""The elastic drive once more, written from its equations alone and solved by SciPy: each regime by itself, with its ends as
events of their own. Follows the rim's speed, not the gap that core/Simulation follows, and judges the grip by the force itself.
"""
import numpy as np
from scipy.integrate import quad, solve_ivp

G = 9.80665


def solve(design):
    e = {"shear_modulus_pa": 450000, "returned_fraction": 0.85, "release": "free", **design["elastic"]}
    d = {"static_friction": 0.6, "kinetic_friction": 0.45, "spin_inertia_kg_m2": 2e-6, **design["drive"]}
    c = {"wheel_equivalent_mass_kg": 0.004, "breakaway_ratio": 1.0, "body_drag_area_m2": 0.003, **design["car"]}
    v0 = design.get("start", {}).get("speed_m_s", 0.0)
    kelvin = 293.15
    vapour = 0.5 * 610.94 * np.exp(17.625 * 20 / (20 + 243.04))
    rho = (101325 - vapour) / (287.05287 * kelvin) + vapour / (461.495 * kelvin)

    ra, rw, J = d["axle_radius_m"], d["wheel_radius_m"], d["spin_inertia_kg_m2"]
    m, mu = c["mass_kg"], c["wheel_equivalent_mass_kg"]
    R = c["rolling_coefficient"] * m * G
    N = d["driven_load_share"] * m * G
    hold, slide = d["static_friction"] * N, d["kinetic_friction"] * N
    eta, tied = e["returned_fraction"], e["release"] == "tied"
    w0 = 2 * np.pi * ra * e["turns"]

    def pull(w):
        s = (e["installed_length_m"] + w) / e["relaxed_length_m"]
        return 0.0 if s <= 1 else e["shear_modulus_pa"] * e["section_area_m2"] * (s - s ** -2)

    def axle_pull(w, band):
        return 0.0 if band == "off" else eta * pull(w) if band == "drives" else (eta if w > 0 else -eta) * pull(abs(w))

    drag = lambda v: 0.5 * rho * c["body_drag_area_m2"] * v * abs(v)

    def grip_acceleration(v, w, band):
        return (axle_pull(w, band) * ra / rw - R - drag(v)) / (m + mu + J / rw ** 2)

    def floor(v, w, band):
        return (m + mu) * grip_acceleration(v, w, band) + R + drag(v)

    # x, v, w, u, then work on the axle, rolling, drag, slip
    def gripping(band):
        def slope(_, y):
            v, w = y[1], y[2]
            a = grip_acceleration(v, w, band)
            return [v, a, -ra * v / rw, a, axle_pull(w, band) * ra * v / rw, R * v, drag(v) * v, 0.0]
        return slope

    def slipping(band, sign):
        def slope(_, y):
            v, w, u = y[1], y[2], y[3]
            torque = axle_pull(w, band) * ra
            return [v, (sign * slide - R - drag(v)) / (m + mu), -ra * u / rw, rw * (torque - sign * slide * rw) / J,
                    torque * u / rw, R * v, drag(v) * v, slide * abs(u - v)]
        return slope

    stored = quad(pull, 0, w0, limit=400, points=[max(0.0, min(w0, e["relaxed_length_m"] - e["installed_length_m"]))], epsabs=0, epsrel=1e-12)[0]
    band = "drives" if w0 > 0 else ("brakes" if tied else "off")
    force = eta * pull(w0) if w0 > 0 else 0.0
    push = force * ra / rw
    sign = 0 if abs(floor(v0, w0, band)) <= hold else (1 if floor(v0, w0, band) > 0 else -1)
    slips = sign != 0
    start = c["breakaway_ratio"] * R
    moves = v0 > 0 or (push > start and (not slips or slide > start))
    y, t, peak, slip_time = np.array([0.0, v0, w0, v0, 0, 0, 0, 0]), 0.0, v0, 0.0
    free = {"time_s": 0.0, "distance_m": 0.0, "speed_m_s": v0} if band == "off" and moves else None

    while moves:
        stood = lambda s, y: y[1] if s > t + 1e-9 else 1.0
        events = [stood]
        names = ["stood"]
        if band == "drives":
            events.append(lambda s, y: y[2])
            names.append("unwound")
        if sign == 0:
            now = band
            events += [lambda s, y: hold - floor(y[1], y[2], now), lambda s, y: hold + floor(y[1], y[2], now)]
            names += ["spins", "drags"]
        else:
            which = sign
            events.append(lambda s, y: which * (y[3] - y[1]) if s > t + 1e-9 else 1.0)
            names.append("meets")
        for each in events:
            each.terminal, each.direction = True, -1
        run = solve_ivp(gripping(band) if sign == 0 else slipping(band, sign), (t, t + 1e4), y, method="DOP853", rtol=1e-12, atol=1e-14,
                        events=events, dense_output=True, max_step=0.05)
        peak = max(peak, float(run.sol(np.linspace(run.t[0], run.t[-1], 6001))[1].max()))
        slip_time += float(run.t[-1] - t) if sign else 0.0
        t, y = float(run.t[-1]), run.y[:, -1].copy()
        what = [name for name, times in zip(names, run.t_events) if len(times)][0]
        if what == "stood":
            break
        if what == "unwound":
            band, y[2] = ("brakes" if tied else "off"), 0.0
            if not tied:
                free = {"time_s": t, "distance_m": float(y[0]), "speed_m_s": float(y[1])}
        if what == "spins":
            sign = 1
        elif what == "drags":
            sign = -1
        elif sign == 0 or what == "meets":
            if what == "meets":
                y[3] = y[1]
            needed = floor(y[1], y[2], band)
            sign = 0 if abs(needed) <= hold else (1 if needed > 0 else -1)

    return {"moves": bool(moves), "distance_m": float(y[0]), "stop_time_s": t, "peak_speed_m_s": peak, "slip_time_s": slip_time,
            "initial": {"band_force_n": float(force), "drive_force_n": float(push), "slips": bool(slips)}, "band_free": free,
            "energy_j": {"stored": float(stored), "drive_work": float(y[4]), "rolling": float(y[5]), "drag": float(y[6]), "slip": float(y[7])}}
