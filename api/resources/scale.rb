# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/commands/read_scale"
require_relative "../../devices/scale"

module NutShelf
  module Api
    # The kitchen scale: its last reading, and the door through which readings come.
    class Scale < Base
      get("/") do
        caller = caller!
        services.database.within(caller.household_id) do |db|
          jar =
            params[:container_id] &&
            Store::House.new(db, caller.household_id).containers.find(id_param(:container_id))
          json Devices::Scale
            .new(Store::House.new(db, caller.household_id).readings)
            .weigh(tare: jar && jar.tare_g)
            .to_h
        end
      end

      post("/") { act(Desk::ReadScale, body_as("ScaleReading")) }
    end
  end
end
